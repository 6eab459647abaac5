/** Places of a later file into a plan: new ones added, changed ones told again, those that are gone taken out. */
import { comparePlaces, nearestUsedStop, removeRow, type Plan, type Stop, type Source } from "@gepack/core";
import type { Draft } from "immer";
import type { FoundParts } from "../reading/found.ts";
import { setFields } from "./rows.ts";
import { edit } from "../store/document.ts";

const LISTS = ["stops", "sources", "camps"] as const;
type List = (typeof LISTS)[number];
type Row = FoundParts[List][number];

export interface Merge {
  added: { list: List; row: Row }[];
  changed: { list: List; id: string; row: Row }[];
  same: number;
  gone: { list: List; id: string; name: string }[];
  /** Stretches are not compared: all are new. */
  stretches: FoundParts["stretches"];
}

// Rows of a plan keep fields they do not know, so that a key alone does not tell a stop from a camp: the list does.
const asStop = (list: List, row: object): Stop | undefined => (list === "stops" ? (row as Stop) : undefined);
const asSource = (list: List, row: object): Source | undefined => (list === "sources" ? (row as Source) : undefined);

const factsOf = (list: List, row: Row): string => {
  const [stop, source] = [asStop(list, row), asSource(list, row)];
  if (stop) return [...stop.services].sort().join(" ");
  return source ? `${source.kind} ${source.reliable} ${source.unknown === true}` : "";
};

export function mergeOf(plan: Plan, found: FoundParts): Merge {
  const known = LISTS.flatMap((list) =>
    plan[list]
      .filter((row) => row.alternateId === undefined)
      .map((row) => ({ id: row.id, list, name: row.name, trackM: row.trackM, facts: factsOf(list, row) })),
  );
  const rows = LISTS.flatMap((list) => found[list].map((row) => ({ list, row })));
  const {
    known: matches,
    changed,
    gone,
  } = comparePlaces(
    known,
    rows.map(({ list, row }) => ({ list, name: row.name, trackM: row.trackM, facts: factsOf(list, row) })),
  );
  return {
    added: rows.filter((_, i) => !matches[i]),
    changed: rows.flatMap(({ list, row }, i) => (changed[i] ? [{ list, row, id: matches[i]!.id }] : [])),
    same: rows.filter((_, i) => matches[i] && !changed[i]).length,
    gone: gone.map(({ id, list, name }) => ({ id, list: list as List, name })),
    stretches: found.stretches,
  };
}

export interface MergeChoice {
  add: boolean;
  update: boolean;
  /** Ids of those no longer named that go. */
  remove: ReadonlySet<string>;
}

/** One undoable step. What the hiker has decided about a place (used, nights, counted) stays. */
export function takeMerge(merge: Merge, { add, update, remove }: MergeChoice): Promise<boolean> {
  const count =
    (add ? merge.added.length + merge.stretches.length : 0) + (update ? merge.changed.length : 0) + remove.size;
  return edit(`Apply ${count} changes from a file`, (draft) => {
    if (add) {
      for (const { list, row } of merge.added) draft[list].push(row as never);
      draft.stretches.push(...merge.stretches);
    }
    if (update) for (const { list, id, row } of merge.changed) retell(draft, list, id, row);
    for (const { list, id } of merge.gone)
      if (remove.has(id))
        removeRow(draft as Plan, list, id, list === "stops" ? nearestUsedStop(draft as Plan, id) : undefined);
  });
}

/** Where it is and what it offers, as the file has it. */
function retell(draft: Draft<Plan>, list: List, id: string, from: Row): void {
  const target = draft[list].find((row) => row.id === id);
  if (!target) return;
  target.trackM = from.trackM;
  if (from.lonDeg !== undefined && from.latDeg !== undefined)
    Object.assign(target, { lonDeg: from.lonDeg, latDeg: from.latDeg });
  const [stop, fromStop] = [asStop(list, target), asStop(list, from)];
  if (stop && fromStop) {
    stop.services = [...fromStop.services];
    stop.offTrailM = fromStop.offTrailM;
    if (fromStop.note !== "") stop.note = fromStop.note;
  }
  const [source, fromSource] = [asSource(list, target), asSource(list, from)];
  if (source && fromSource) {
    source.kind = fromSource.kind;
    setFields(source, { reliable: fromSource.reliable, unknown: fromSource.unknown });
    source.offTrailM = fromSource.offTrailM;
  }
}
