/** Two lists of kit compared: what was added, left, changed and moved; grams by group. */
import type { KeptKit, Piece, Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { isTakenAlong } from "./alternatives.ts";
import { leftOut } from "../kit/decisions.ts";

export type ListedPiece = KeptKit["pieces"][number];

/** All that goes along somewhere. */
export function listNow(plan: Pick<Plan, "kit" | "decisions">): ListedPiece[] {
  const out = leftOut(plan);
  return plan.kit
    .filter((piece) => isTakenAlong(piece) && !out.has(piece.id))
    .map((piece) => listed(piece, piece.carrierId));
}

/** What is carried or worn on a leg, by whom; by one hiker alone where one is needed. */
export function listOnLeg(plan: Plan, { legs, carrier }: TripFigures, legIndex: number, only?: number): ListedPiece[] {
  return plan.kit.flatMap((piece, p) => {
    const who = carrier[p * legs.length + legIndex]!;
    return who < 0 || (only !== undefined && who !== only) ? [] : [listed(piece, plan.hikers[who]!.id)];
  });
}

function listed({ id, name, group, massG, quantity, wear }: Piece, hikerId: string): ListedPiece {
  return { id, name, group, massG, quantity, wear, hikerId };
}

export interface ListChange {
  before?: ListedPiece;
  after?: ListedPiece;
  /** Added and left by themselves; of the others what differs. */
  kind: "added" | "left" | "changed" | "moved";
  /** More, or less than nothing. */
  changeG: number;
}

export interface GroupChange {
  group: string;
  beforeG: number;
  afterG: number;
}

export interface ListsCompared {
  changes: ListChange[];
  groups: GroupChange[];
  beforeG: number;
  afterG: number;
}

/**
 * By id, and what has none in common by name, so that two people's lists can be compared as well. A piece whose mass,
 * number, name or place on the body differs is changed; one that only somebody else carries is moved.
 */
export function compareLists(before: readonly ListedPiece[], after: readonly ListedPiece[]): ListsCompared {
  const open = new Set(after);
  const take = (found: ListedPiece | undefined): ListedPiece | undefined => {
    if (found) open.delete(found);
    return found;
  };
  const byId = new Map(after.map((piece) => [piece.id, piece]));
  const sameId = before.map((piece) => take(byId.get(piece.id)));
  const pairs = before.map((piece, i) => ({
    before: piece,
    after: sameId[i] ?? take([...open].find(({ name }) => sameName(name, piece.name))),
  }));
  const changes = pairs.flatMap(({ before: old, after: now }): ListChange[] => {
    if (!now) return [{ before: old, kind: "left", changeG: -gramsOf(old) }];
    const changeG = gramsOf(now) - gramsOf(old);
    const differs =
      old.massG !== now.massG ||
      old.quantity !== now.quantity ||
      old.wear !== now.wear ||
      !sameName(old.name, now.name);
    if (differs) return [{ before: old, after: now, kind: "changed", changeG }];
    return old.hikerId === now.hikerId ? [] : [{ before: old, after: now, kind: "moved", changeG }];
  });
  for (const piece of open) changes.push({ after: piece, kind: "added", changeG: gramsOf(piece) });
  const names = [...new Set([...before, ...after].map(({ group }) => group))];
  const groups = names.map((group) => ({ group, beforeG: sumOf(before, group), afterG: sumOf(after, group) }));
  return { changes, groups, beforeG: sumOf(before), afterG: sumOf(after) };
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
const gramsOf = ({ massG, quantity }: ListedPiece): number => massG * quantity;

function sumOf(pieces: readonly ListedPiece[], group?: string): number {
  return pieces.reduce((sum, piece) => sum + (group === undefined || piece.group === group ? gramsOf(piece) : 0), 0);
}
