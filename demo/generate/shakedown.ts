/** Four days before the long walk, on a small made-up trail: the demo's first hiker, her kit, and the log of it. */
import { computePlan, cardsOf, PLAN_VERSION, readPlanFile, type Plan, type PlanFile } from "@gepack/core";
import { smallTrail, stop, source, station } from "./small.ts";

const LENGTH_M = 74_000;
const START_DATE = "2027-02-26";
/** Kilometres at each evening, hours against the plan's, breaks, litres drunk, and what there is to say. */
const DAYS = [
  { km: 14.5, slower: 1.22, breakH: 1.9, drankL: 2.9, lowC: 3, notes: "Everything twice in the hand before it found its pocket." },
  { km: 33, slower: 1.12, breakH: 2.1, drankL: 3.2, lowC: 1, notes: "The lid pocket is for the rain shell and for nothing else." },
  { km: 54, slower: 1.16, breakH: 2.4, drankL: 4.4, lowC: 7, highC: 24, notes: "Warm for February. Sleeves stayed down." },
  { km: 72.5, slower: 1.08, breakH: 1.6, drankL: 3, lowC: 5, notes: "Second pair of gloves never left the pack." },
] as const; // prettier-ignore

const height = (m: number): number => 260 + 120 * Math.sin(m / 9000) + 50 * Math.sin(m / 2300 + 2);

/** A plan file with its track, `demo` giving the hiker and the kit. */
export function shakedown(demo: Plan): Record<string, unknown> {
  const hiker = { ...demo.hikers[0]!, menus: {} };
  const kit = demo.kit
    .filter((piece) => piece.ownerId === hiker.id && piece.spans.some(({ fromStopId }) => fromStopId === "@start"))
    .map((piece) => ({ ...piece, carrierId: hiker.id, spans: [{ fromStopId: "@start", toStopId: "@finish" }] }));
  const plan = {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "sallow-round",
    trip: { name: "Sallow Round, four days of shakedown", startDate: START_DATE, fictional: true },
    trackIds: ["sallow"],
    hikers: [hiker],
    stops: [stop("barn", "Marl Barn", 33, ["shop-small", "bed"], 0)],
    sources: Array.from({ length: 9 }, (_, i) => source(i, 5 + i * 7.6, ["creek", "spring"][i % 2]!)),
    climate: { stations: [station("Marl", 30, 280, 11)] },
    kit,
    tracks: [smallTrail("sallow", "Sallow Round", { lengthM: LENGTH_M, lonDeg: -149.2, latDeg: 44.5, height })],
  };
  return { ...plan, log: logOf(readPlanFile(plan).value!) };
}

function logOf({ plan, tracks }: PlanFile): unknown[] {
  const bare = DAYS.map(({ km }, i) => ({ id: `day-${i + 1}`, date: dateOf(i), trackM: km * 1000, night: "camp" }));
  const placed = readPlanFile({ ...plan, log: bare, tracks: [] }).value?.plan ?? { ...plan, log: bare as Plan["log"] };
  return cardsOf(placed, computePlan(placed, tracks)).map(({ card, groundH }, i) => {
    const { slower, breakH, drankL, lowC, notes } = DAYS[i]!;
    const highC = "highC" in DAYS[i]! ? { highC: (DAYS[i] as { highC: number }).highC } : {};
    return { ...card, walkedH: Number((groundH * slower).toFixed(1)), breakH, drankL, lowC, ...highC, notes };
  });
}

const dateOf = (i: number): string => new Date(Date.parse(START_DATE) + i * 86_400_000).toISOString().slice(0, 10);
