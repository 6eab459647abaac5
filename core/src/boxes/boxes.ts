/**
 * Boxes of the plan: one to every stop from each place that something is sent from, filled by what the plan posts there.
 * Food counts as what all packs start the next leg with; where menus say what it is, that stands line by line.
 */
import type { BoxLine, BoxRow } from "../plan/boxSchema.ts";
import type { Piece, Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { isTaken, leftOut } from "../kit/decisions.ts";
import type { Sending } from "../stops/post.ts";
import { postagePrice } from "../stops/post.ts";
import { sendingTo, stopFigures, type BoxSending, type StopFigures } from "../stops/stays.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import { travelsOf } from "./travels.ts";

export interface PlannedBox {
  /** Of the stop that it goes to, and of the one that it is sent from; from home without. */
  key: string;
  toStopId: string;
  fromStopId: string | undefined;
  /** The one with what is never carried, opened and sent on. */
  bounce: boolean;
  /** The leg that leaves the stop it goes to. */
  legIndex: number;
  pieces: Piece[];
  foodG: number;
  /** What the hiker has added and noted; undefined until then. */
  row: BoxRow | undefined;
  /** Of that, what goes in as things stand. */
  lines: BoxLine[];
  totalG: number;
  /** Of pieces and food, as loosely as they pack; own lines tell none. */
  litres: number;
  price: number;
  /** From home: between which days it should be sent. Along the trail: the day of being there. */
  sending: Sending;
  sentDay: number;
  /** That it is there when one comes, whenever that is. */
  chance: number;
  /** Where its chance is less than good: the stop from which word home makes it better, and how good. */
  onWord: { stopId: string; day: number; chance: number } | undefined;
  /** Between these days one comes for it, 5 to 95 of 100. */
  earliestDay: number;
  latestDay: number;
  holdDays: number;
  faults: BoxFault[];
}

export type BoxFault =
  | { kind: "empty" }
  | { kind: "too-heavy"; limitKg: number }
  | { kind: "no-post" }
  /** Too slow to be there, or sent back before one comes. */
  | { kind: "unsure" }
  /** Sent later than the last good day. */
  | { kind: "sent-late"; days: number }
  | { kind: "not-by-post"; pieceIds: string[] };

const HOME = "home";
export const boxKey = (toStopId: string, fromStopId?: string, bounce = false): string =>
  `${fromStopId ?? HOME} ${toStopId}${bounce ? " bounce" : ""}`;

export function boxesOf(plan: Plan, result: Pick<TripFigures, "legs" | "days">): PlannedBox[] {
  const figures = stopFigures(plan, result);
  const posted = postedPieces(plan);
  const bounced = bouncedPieces(plan);
  let bouncedFrom: string | undefined;
  return figures.flatMap((at) => {
    if (!at.leaves || !at.arrives) return [];
    const { id } = at.stop;
    const fromIds = new Set<string | undefined>();
    for (const { toStopId, fromStopId } of posted) if (toStopId === id) fromIds.add(fromStopId);
    if (at.box) fromIds.add(at.box.sentDay === undefined ? undefined : at.stop.foodFromStopId);
    for (const row of plan.boxes) if (row.toStopId === id && !row.bounce) fromIds.add(row.fromStopId);
    const boxes = [...fromIds].map((fromStopId) => {
      const pieces = posted.filter((one) => one.toStopId === id && one.fromStopId === fromStopId);
      return boxTo(plan, result, at, { fromStopId, bounce: false, pieces: pieces.map(({ piece }) => piece) }, figures);
    });
    if (!plan.bounce?.stopIds.includes(id)) return boxes;
    const bounce = { fromStopId: bouncedFrom, bounce: true, pieces: bounced };
    bouncedFrom = id;
    return [...boxes, boxTo(plan, result, at, bounce, figures)];
  });
}

/** What is in the box that is sent on: nothing that a pack has on some leg. */
function bouncedPieces({ kit, bounce }: Plan): Piece[] {
  const inIt = new Set(bounce?.pieceIds);
  return kit.filter(({ id, spans }) => inIt.has(id) && spans.length === 0);
}

interface Posted {
  piece: Piece;
  toStopId: string;
  fromStopId: string | undefined;
}

/** Each span that starts in the post, and where it was sent: on from the stop where the span before it ended, or from home. */
function postedPieces(plan: Plan): Posted[] {
  const out = leftOut(plan);
  return plan.kit.flatMap((piece) => {
    if (out.has(piece.id)) return [];
    return piece.spans.flatMap((span, i): Posted[] => {
      if (span.begins !== "posted") return [];
      const before = piece.spans[i - 1];
      const isSentOn = before?.ends === "sent-forward" && !before.toStopId.startsWith("@");
      return [{ piece, toStopId: span.fromStopId, fromStopId: isSentOn ? before.toStopId : undefined }];
    });
  });
}

function boxTo(
  plan: Plan,
  { days }: Pick<TripFigures, "legs" | "days">,
  at: StopFigures,
  { fromStopId, bounce, pieces }: Pick<PlannedBox, "fromStopId" | "bounce" | "pieces">,
  figures: readonly StopFigures[],
): PlannedBox {
  const { stop, leaves, stay } = at;
  const row = rowOf(plan.boxes, { toStopId: stop.id, fromStopId, bounce });
  const foodFrom = at.box && (at.box.sentDay === undefined ? undefined : stop.foodFromStopId);
  const foodG =
    at.box && !bounce && foodFrom === fromStopId
      ? leaves!.hikers.reduce((sum, { food }) => sum + 1000 * food.startKg, 0)
      : 0;
  const lines = (row?.lines ?? []).filter((line) => goesIn(plan, line));
  const ownG = lines.reduce((sum, { massG }) => sum + massG, 0);
  const piecesG = pieces.reduce((sum, { massG, quantity }) => sum + massG * quantity, 0);
  const piecesL = pieces.reduce((sum, { volumeL, quantity }) => sum + volumeL * quantity, 0);
  const contentG = piecesG + foodG + ownG;
  const totalG = contentG + (row?.cartonG ?? CARTON_G);
  const sender = figures.find((one) => one.stop.id === fromStopId);
  const planned = sendingTo(plan, { days }, at, sender);
  const { sending } = planned;
  const arrivesDay = stay.from.day;
  const sentOnDay = dayNumber(row?.sentOn ?? "");
  const sentDay = sentOnDay ?? planned.sentDay ?? sending.day;
  const chance =
    sentOnDay === undefined ? planned.chance : sender ? planned.chanceFrom(sentOnDay) : planned.chanceOn(sentOnDay);
  const unsure = chance < LEAST_CHANCE;
  const faults: BoxFault[] = [];
  if (contentG <= 0) faults.push({ kind: "empty" });
  if (totalG > 1000 * plan.resupply.mostParcelKg)
    faults.push({ kind: "too-heavy", limitKg: plan.resupply.mostParcelKg });
  if (stop.services.length > 0 && !stop.services.includes("post")) faults.push({ kind: "no-post" });
  if (!sender && sentOnDay !== undefined && sentOnDay > sending.byDay)
    faults.push({ kind: "sent-late", days: sentOnDay - sending.byDay });
  if (unsure) faults.push({ kind: "unsure" });
  const refused = pieces.filter((piece) => travelsOf(piece) === "neither").map(({ id }) => id);
  if (refused.length > 0) faults.push({ kind: "not-by-post", pieceIds: refused });
  return {
    key: boxKey(stop.id, fromStopId, bounce),
    toStopId: stop.id,
    fromStopId,
    bounce,
    legIndex: leaves!.index,
    pieces,
    foodG,
    row,
    lines,
    totalG,
    litres:
      piecesL + (foodG > 0 ? leaves!.hikers.reduce((sum, { food }) => sum + food.startKg / food.bulkKgPerL, 0) : 0),
    price: postagePrice(plan.resupply, totalG / 1000) + stop.postFee,
    sending,
    sentDay,
    chance,
    onWord: unsure && !sender && sentOnDay === undefined ? bestWord(planned, chance, figures, arrivesDay) : undefined,
    earliestDay: arrivesDay - planned.earlyDays,
    latestDay: arrivesDay + planned.lateDays,
    holdDays: stop.postHoldDays,
    faults,
  };
}

/** The row of the document that is of a box, if there is one yet. */
export function rowOf(
  rows: readonly BoxRow[],
  { toStopId, fromStopId, bounce }: Pick<PlannedBox, "toStopId" | "fromStopId" | "bounce">,
): BoxRow | undefined {
  return rows.find(
    (row) => row.toStopId === toStopId && row.fromStopId === fromStopId && (row.bounce === true) === bounce,
  );
}

/** Word from there goes home on the day of coming, and the box leaves on the next. */
function bestWord(
  { chanceFrom }: BoxSending,
  byCalendar: number,
  figures: readonly StopFigures[],
  arrivesDay: number,
): PlannedBox["onWord"] {
  let best: PlannedBox["onWord"];
  for (const { stop, stay, arrives } of figures) {
    const { day } = stay.from;
    if (!arrives || day >= arrivesDay) continue;
    const chance = chanceFrom(day + 1, day);
    if (chance > (best?.chance ?? byCalendar)) best = { stopId: stop.id, day, chance };
  }
  return best;
}

/** A line that waits for a decision goes in where that is taken. */
const goesIn = ({ decisions }: Pick<Plan, "decisions">, { decisionId }: BoxLine): boolean =>
  decisions.every((choice) => choice.id !== decisionId || isTaken(choice));

const CARTON_G = 250;
/** What is less likely to be there is given as unsure. */
const LEAST_CHANCE = 0.9;

/** The days of sending as dates, for lists and calendars. */
export function sendingDates({ sending, fromStopId, sentDay }: PlannedBox): { from: string; by: string } {
  if (fromStopId !== undefined) return { from: isoOfDay(sentDay), by: isoOfDay(sentDay) };
  return { from: isoOfDay(sending.fromDay), by: isoOfDay(sending.byDay) };
}
