/** What a first plan rests on, ten lines in words, each with the page on which it is changed. */
import type { Plan, PlanResult } from "@gepack/core";
import type { StationId } from "../stations/registry.ts";
import { longDate } from "../units/date.ts";
import { quantity } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";
import { sayIn } from "../words/say.ts";
import { ASSUMED_SHOP } from "../reading/found.ts";
import { USUAL } from "../edit/startTrip.ts";
import { LEVEL_KMH } from "./answers.ts";

export interface Assumption {
  id: string;
  label: string;
  words: string;
  /** What nobody knows, what somebody should answer, what we guessed; nothing where it is known. */
  tag?: "gap" | "question" | "guess";
  station: StationId;
  /** Of the link. */
  action: string;
}

const STOCKS = ["shop-small", "shop-full", "post"];

export function assumptionsOf(plan: Plan, result: PlanResult, who: number): Assumption[] {
  const say = sayIn(plan);
  const { profile, legs, days, finishDate, zeroDays } = result;
  const { units, startDate } = plan.trip;
  const hiker = plan.hikers[who]!;
  const rows = legs.map((leg) => leg.hikers[who]!);
  const mean = (of: (row: (typeof rows)[number]) => number): number =>
    rows.reduce((sum, row, i) => sum + of(row) * legs[i]!.dayCount, 0) /
    Math.max(
      1e-9,
      legs.reduce((sum, leg) => sum + leg.dayCount, 0),
    );
  const heightlessM = plan.route.heightless.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0);
  const assumed = plan.sources.filter((source) => source.assumed).length;
  const used = plan.stops.filter((stop) => stop.use).length;
  const shops = plan.stops.filter(({ infoFrom, use }) => use && infoFrom === ASSUMED_SHOP).length;
  const unknown = plan.stops.filter((stop) => !stop.use && !stop.services.some((one) => STOCKS.includes(one))).length;
  const longest = rows
    .map(({ carries, largestCarry }) => carries[largestCarry])
    .reduce((a, b) => ((b?.litres ?? 0) > (a?.litres ?? 0) ? b : a), undefined);
  const isSimulated = result.checks.some(({ code }) => code === "climate-simulated" || code === "climate-assumed");
  const isStarter = plan.kit.length > 0 && plan.kit.every(({ id }) => id.startsWith(USUAL));
  const [lowC, highC] = [Math.min(...days.map((day) => day.lowC)), Math.max(...days.map((day) => day.highC))];
  const { densityKcalPerG, reserveDays } = hiker.food;
  const kcal = mean((row) => row.energy.totalKcal);
  const baseKg = rows[0]!.kit.baseKg;
  const sockets = plan.stops.filter(
    (stop) => stop.use && stop.services.some((one) => one === "bed" || one === "socket"),
  ).length;
  return [
    {
      id: "climb",
      label: "Climb",
      words: profile.hasHeights
        ? `${say.height(profile.totalClimbM)}, from your track${heightlessM > 0 ? `; ${say.distance(heightlessM)} without elevations count as even` : ""}`
        : "Your track has no elevations: all of it counts as flat",
      ...(heightlessM > 0 || !profile.hasHeights ? { tag: "gap" as const } : {}),
      station: "trail",
      action: heightlessM > 0 || !profile.hasHeights ? "Add elevations" : "Open Trail",
    },
    {
      id: "water",
      label: "Water",
      words: `${counted(plan.sources.length - assumed, "listed source")}${assumed > 0 ? `, ${assumed} assumed` : ""}; most carried ${say.L(longest?.litres ?? 0)}`,
      ...(assumed > 0 ? { tag: "guess" as const } : plan.sources.length === 0 ? { tag: "gap" as const } : {}),
      station: "water",
      action: assumed > 0 ? "Replace" : "Change",
    },
    {
      id: "stops",
      label: "Stops",
      words:
        plan.stops.length === 0
          ? "None listed: all food comes from the start"
          : `${used} of the ${plan.stops.length} listed${shops > 0 ? `; at ${shops} a shop is assumed` : ""}${unknown > 0 ? `; ${unknown} without a known shop` : ""}`,
      ...(unknown + shops > 0 ? { tag: "question" as const } : plan.stops.length === 0 ? { tag: "gap" as const } : {}),
      station: "stops",
      action: plan.stops.length === 0 ? "Add stops" : "Change",
    },
    {
      id: "start",
      label: "Start",
      words: `${longDate(startDate)}, ${zeroDays === 0 ? "no rest days" : counted(zeroDays, "rest day")}; you finish on ${longDate(finishDate)}`,
      station: "days",
      action: "Change",
    },
    {
      id: "pace",
      label: "Pace",
      words: `${say.hours(hiker.pace.hoursFreshH)} to ${say.hours(hiker.pace.hoursFitH)} per day, ${quantity("distance", 1000 * LEVEL_KMH * hiker.pace.speedFactor, units)}/h on level trail without a load`,
      station: "days",
      action: "Change",
    },
    {
      id: "you",
      label: plan.hikers.length > 1 ? hiker.name : "You",
      words: `${say.kg(hiker.bodyKg, 0)}, ${quantity("stature", hiker.heightCm, units)}, ${hiker.ageY} years`,
      station: "trip",
      action: "Change",
    },
    {
      id: "food",
      label: "Food",
      words: `${say.kcal(Math.round(kcal / 10) * 10)} needed per day; ${say.number(densityKcalPerG, 1)} kcal per gram, ${reserveDays === 0 ? "no reserve" : `${say.days(reserveDays)} in reserve`}`,
      station: "food",
      action: "Change",
    },
    {
      id: "weather",
      label: "Weather",
      words: `${isSimulated ? "Simulated climate, not measured: nights" : "Nights"} down to ${say.C(lowC)}, days to ${say.C(highC)} on average`,
      ...(isSimulated ? { tag: "guess" as const } : {}),
      station: "season",
      action: isSimulated ? "Enter averages" : "Change",
    },
    {
      id: "kit",
      label: "Kit",
      words: `${isStarter ? "A few usual items" : "Your list"}: base weight ${say.kg(baseKg)}`,
      ...(isStarter ? { tag: "guess" as const } : {}),
      station: "kit",
      action: isStarter ? "Paste your list" : "Change",
    },
    {
      id: "stove",
      label: "Stove",
      words: `${hiker.stove.fuel === "none" ? "No cooking" : `${counted(hiker.stove.boilsPerDay, "boil")} per day`}; sockets at ${sockets} of ${counted(used, "stop")}`,
      tag: "guess",
      station: "power",
      action: "Change",
    },
  ];
}
