/** Devices that a kit list names: a power bank by its cells, phone and headlamp with what they usually take [L]. */
import { deviceSchema, type Device } from "../plan/schema.ts";
import type { Piece } from "../plan/schema.ts";
import { readNumber, tidyNumbers } from "../units/number.ts";

/** What most carry: judgement to start with, each figure editable. */
export const USUAL_DEVICES = [
  { name: "Phone", kind: "rechargeable", mAh: 4000, whPerDay: 4, offRank: 1 },
  { name: "Headlamp", kind: "rechargeable", mAh: 1200, whPerDay: 0.6 },
  { name: "Power bank", kind: "bank", mAh: 10_000 },
] as const;

const [PHONE, HEADLAMP] = USUAL_DEVICES;
const WITH_IT = /case|cable|charger|holder|cover|hülle|kabel|ladeger|strap|battery|batteries|mount|stativ|tripod/i;
const NAMES = [
  [PHONE, /\b(?:smart ?)?phone\b|\bhandy\b|\bt[ée]l[ée]phone\b|\btel[ée]fono\b/i],
  [HEADLAMP, /head ?lamp|head ?torch|head ?light|stirnlampe|\bfrontale?\b/i],
] as const;
const BANK =
  /power ?bank|battery (?:pack|bank)|akku ?pack|zusatzakku|batterie externe|bater[íi]a externa|batteria esterna/i;
const CELLS = /(\d[\d.,' ]*)\s*(mAh|Wh)\b/i;
/** Of a lithium cell. */
const CELL_V = 3.7;
const MOST_MAH = 200_000;
const MOST_ID = 80;

function deviceOf({ name }: Pick<Piece, "name">): Partial<Device> | undefined {
  if (BANK.test(name)) {
    const [, figure, unit] = CELLS.exec(name) ?? [];
    const amount = figure === undefined ? undefined : readNumber(tidyNumbers(figure)).at(0);
    if (amount === undefined) return undefined;
    const mAh = unit!.toLowerCase() === "wh" ? (1000 * amount) / CELL_V : amount;
    return mAh > 0 && mAh <= MOST_MAH ? { kind: "bank", mAh: Math.round(mAh) } : undefined;
  }
  if (WITH_IT.test(name)) return undefined;
  return NAMES.find(([, is]) => is.test(name))?.[0];
}

/** One for each piece that is one, unless the piece, or its owner's kind of it, is a device already. */
export function devicesOfKit(pieces: readonly Piece[], there: readonly Device[]): Device[] {
  const known = new Set(there.map(({ pieceId }) => pieceId));
  const named = new Set(there.map(({ name, ownerId }) => `${ownerId} ${name.toLowerCase()}`));
  return pieces.flatMap((piece) => {
    const { id, name, ownerId, quantity, spans } = piece;
    const device = spans.length === 0 || known.has(id) ? undefined : deviceOf(piece);
    if (!device || named.has(`${ownerId} ${name.toLowerCase()}`)) return [];
    return [
      deviceSchema.parse({
        ...device,
        id: `device-${id}`.slice(0, MOST_ID),
        name,
        ownerId,
        pieceId: id,
        count: Math.min(20, quantity),
      }),
    ];
  });
}
