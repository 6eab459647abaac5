/** Nineteen days of the demo as they were walked: slower than planned at first, a warm spell, a dry source, a sole that came off. */
import {
  calendarDays,
  nodeOf,
  placeAt,
  storeOf,
  walkedOf,
  type LegResult,
  type Plan,
  type PlanResult,
  type WalkedM,
} from "@gepack/core";

const DAYS = 19;
/** Of what was planned for the day, and of the hours that the plan has for the ground. */
const FRESH = { days: 6, pace: 0.8, hours: 1.2 };
const FIT = { pace: 1, hours: 1.08 };
const WARM = { from: 9, to: 12, highC: 31 };
const DRY_DAY = 11;
const BROKEN_DAY = 13;
/** Of what the plan has for the day. */
const BURNT = 1.04;
const DRAWN = 1.12;
const NOTES: Readonly<Record<number, string>> = {
  1: "Wind off the salt all day. Packed far too late.",
  4: "Blisters, both heels. Short day on purpose.",
  7: "First day that felt like walking.",
  11: "The seep that was counted on is dust. Two litres left at camp, that was enough.",
  13: "Left sole open from the toe. Glue and tape hold it for now.",
  18: "Frost on the tent, the first.",
};
const WEATHER = ["clear, wind", "clear", "hazy", "cloud, some drops", "clear, frost"];

export function onTheTrail(plan: Plan, result: PlanResult): Pick<Plan, "log" | "plannedDays"> {
  const { profile, cellH, packs, legs } = result;
  const planned = calendarDays(plan, result);
  const stops = plan.stops
    .filter(({ use, nights }) => use && nights > 0)
    .map((stop) => ({ stop, node: nodeOf(profile, stop) }))
    .filter(({ node }) => node > 0);
  const dayOf = (date: string) => result.days.find((one) => one.date === date);
  const store = storeOf(result.power!, plan.hikers[0]!.id)!;
  const usedFraction = (date: string): number => {
    const day = store.days[result.days.findIndex((one) => one.date === date)];
    return day ? day.usedWh / store.legs[day.legIndex]!.capacityWh : 0;
  };
  let bag = { fuelG: 0, charge: 1 };
  const log: Plan["log"] = [];
  let node = 0;
  let ahead = 0;
  for (let i = 0; log.length < DAYS; i++) {
    const date = planned[log.length]!.date;
    const day = log.length + 1;
    const here = stops.find((stop) => stop.node === node);
    const rests = here !== undefined && log.filter(({ stopId }) => stopId === here.stop.id).length < here.stop.nights;
    const { pace, hours } = day <= FRESH.days ? FRESH : FIT;
    const walked = planned.filter((one) => !one.rests)[ahead]!;
    const cells = Math.round(((walked.toM - walked.fromM) * pace) / profile.cellM);
    const next = stops.find((stop) => stop.node > node && stop.node <= node + cells);
    const end = rests ? node : (next?.node ?? node + cells);
    let groundH = 0;
    for (let c = node; c < end; c++) groundH += cellH[c]!;
    const stop = rests ? here.stop : next?.stop;
    const leg = legs.find(({ fromNode, toNode }) => fromNode <= end && end < toNode)!;
    if (stop || node === 0) bag = leaving(leg);
    if (!stop) {
      bag.fuelG -= 1000 * (dayOf(date)?.fuelKg[0] ?? 0) * BURNT;
      bag.charge -= usedFraction(date) * DRAWN;
    }
    const passed = plan.sources.filter((source) => {
      const at = nodeOf(profile, source);
      return source.alternateId === undefined && at > node && at <= end;
    });
    const { trackM } = placeAt(profile, walkedOf(profile, end) as WalkedM);
    const isWarm = day >= WARM.from && day <= WARM.to;
    log.push({
      id: `log-${date}`,
      date,
      trackM,
      ...(stop ? { stopId: stop.id } : {}),
      night: stop ? "stop" : "camp",
      ...(rests ? {} : { walkedH: Number((groundH * hours).toFixed(1)), breakH: isWarm ? 2.5 : 1.5 }),
      weather: isWarm ? "hot, no cloud" : WEATHER[day % WEATHER.length]!,
      area: end * profile.cellM < 200_000 ? "Dunmere Flats" : "Red Stair",
      lowC: Number((walked.coldNightC + 4 + (day % 3)).toFixed(0)),
      ...(isWarm ? { highC: WARM.highC + (day % 2) } : {}),
      water: passed
        .slice(0, 3)
        .map(({ id }, k) => ({ sourceId: id, said: day === DRY_DAY && k === 0 ? "dry" : "flowing" })),
      ...(stop
        ? {}
        : {
            foodKg: Number((packs[0]!.foodKg[end]! * 0.95).toFixed(2)),
            fuelG: Math.round(bag.fuelG),
            chargeFraction: Number(Math.max(0.05, bag.charge).toFixed(2)),
          }),
      ...(rests ? {} : { drankL: Number((2.6 + (isWarm ? 1.9 : 0) + 0.2 * (day % 3)).toFixed(1)) }),
      ...(stop && day > 4 ? { bodyKg: Number((plan.hikers[0]!.bodyKg - 0.1 * day).toFixed(1)), money: 38 + day } : {}),
      felt: day <= 4 ? 2 : isWarm ? 3 : 4,
      pieces:
        day === BROKEN_DAY
          ? [
              {
                pieceId: plan.kit.find(({ role }) => role === "shoes")!.id,
                what: "broken",
                note: "left sole open from the toe",
              },
            ]
          : [],
      notes: NOTES[day] ?? "",
    });
    node = end;
    if (!rests) ahead++;
  }
  return {
    log,
    plannedDays: planned.map(({ date, toM, walkH }) => ({
      date,
      toM: Math.round(toM),
      walkH: Number(walkH.toFixed(2)),
    })),
  };
}

/** Full of what the leg starts with. */
function leaving({ hikers }: LegResult): { fuelG: number; charge: number } {
  const { needG, endG } = hikers[0]!.fuel;
  return { fuelG: needG + endG, charge: 1 };
}
