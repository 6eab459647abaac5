/**
 * Simulated hikes: the plan's own days, longer or shorter, warmer or colder, hungrier or not, with sources that are dry,
 * doors that are shut, boxes that are late, pieces that fail and days lost to illness.
 *
 * Laws, all in the document and editable: factors of a person are lognormal about the plan, one of the hike and one of
 * the day (0.08 and 0.10 of pace, 0.12 and 0.15 of energy, others judgement), a day like the one before by 0.3 [L, M].
 * Lows: the plan's own spread of single nights, a night like the one before by 0.7 a day and exp(−km/500), 1.5 K milder
 * on wet days, which follow one another as a chain [M]. Sources: their chance of the month, in three of ten years all
 * with one draw [L]. Parcels: the post's own law. Illness: a day of every 167, one day of rest and a geometric number
 * more, of which three are spent out of the bag. Shoes: Weibull; other pieces: exponential. A slower day takes longer
 * and more food, fuel, water and charge alike; a later day has the season of its date at the planned place. Who has run
 * out comes on as quickly; nobody turns back. Every draw is keyed by what it is of: other plans, workers and orders meet
 * the same luck.
 */
import { lifeDrawnKm } from "../models/wear.ts";
import { PERSISTENCE } from "../models/rain.ts";
import { VARIED } from "../plan/ids.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { openDuring, type Moment } from "../stops/openings.ts";
import { chanceThere } from "../stops/post.ts";
import { normal, stratified, uniform } from "../units/draws.ts";
import { legTables, type BoxThere, type Charge, type Door, type LegTable } from "./tables.ts";

export type Varied = (typeof VARIED)[number];

/** What can go wrong on a leg; of its end where it says so. */
export const TROUBLES = ["food", "fuel", "charge", "water", "cold", "shut", "box", "gear"] as const;
export type Trouble = (typeof TROUBLES)[number];

export interface HikesOptions {
  runs?: number;
  seed?: number;
  /** What may be otherwise; by the plan's own word where nothing is said. */
  varied?: readonly Varied[];
  who?: number;
  /** Part of the hikes, for several that share the work: from the first, before the last. */
  from?: number;
  to?: number;
}

/** Some of the hikes, in the order of their numbers: leg by leg within a hike. */
export interface Hikes {
  runs: number;
  from: number;
  to: number;
  legCount: number;
  /** One bit a trouble, by its place in `TROUBLES`. */
  troubles: Uint16Array;
  /** Left at the leg's end; less than nothing is missing. */
  foodLeftKg: Float32Array;
  eatenKg: Float32Array;
  burntG: Float32Array;
  heaviestKg: Float32Array;
  /** Drunk on foot to where there is water: on the longest way of the leg. */
  wantedL: Float32Array;
  /** Least that a night had over what is slept in, kelvin. */
  nightK: Float32Array;
  /** Days that the leg took, and later than planned at its end. */
  days: Float32Array;
  lateDays: Float32Array;
  /** Lost to illness on it. */
  restDays: Uint16Array;
  /** Of each hike: its own factors, days wet, and snow: −1, 0 or 1. */
  pace: Float32Array;
  energy: Float32Array;
  wetDays: Uint16Array;
  snowYear: Int8Array;
}

const KEY = {
  pace: 1, energy: 2, fuel: 3, night: 4, source: 5, ill: 6, illDays: 7, thirst: 8, charge: 9, wet: 10, drought: 11,
  shut: 12, box: 13, gear: 14, shoes: 15, snow: 16,
} as const; // prettier-ignore

/** Without water for so long is thirst and no more [L]. */
const THIRST_H = 2;
/** Less than this is not short of anything. */
const SCRAP_KG = 0.01;
const SCRAP_G = 0.5;
const MOST_ILL_DAYS = 30;
/** Who is ill for longer is taken down, and lives on nothing of the bag [L]. */
const MOST_ILL_ON_TRAIL = 3;
/** Weather is like that of a place so far away by 1/e, km. */
const LIKE_KM = 500;
/** A wet day's night is so much milder, and no dry day's colder than by four. */
const WET_MILDER_K = 1.5;
const DRY_COLDER_K = 4;

/** A factor of the person: one of the hike, one of the day, each day like the one before. */
class Factor {
  private day = 0;
  constructor(
    private readonly key: number,
    private readonly hikeSd: number,
    private readonly daySd: number,
    private readonly like: number,
    private readonly isVaried: boolean,
    private readonly ofHike: Float64Array,
  ) {}

  /** On the n-th day of a hike, the first is 1. */
  on(seed: number, run: number, n: number): number {
    if (!this.isVaried) return 1;
    const draw = normal(seed, run, this.key, n);
    this.day = n === 1 ? draw : follow(this.day, this.like, draw);
    return Math.exp(this.hikeSd * this.ofHike[run]! + this.daySd * this.day);
  }

  ofWhole(run: number): number {
    return this.isVaried ? Math.exp(this.hikeSd * this.ofHike[run]!) : 1;
  }
}

/** What a plan is simulated from, once for all hikes. */
export interface Prepared {
  tables: LegTable[];
  laws: Plan["odds"];
  does: ReadonlySet<Varied>;
  runs: number;
  seed: number;
}

export function prepare(plan: Plan, result: PlanFigures, options: HikesOptions = {}): Prepared {
  const { runs = 1000, seed = 1, who = 0 } = options;
  const does = new Set(options.varied ?? VARIED.filter((one) => !plan.odds.fixed.includes(one)));
  // A year that the hiker has set is that year.
  if (plan.climate.snowYear !== "usual") does.delete("snow");
  return { tables: legTables(plan, result, who), laws: plan.odds, does, runs, seed };
}

export function walkHikes(prepared: Prepared, from = 0, to = prepared.runs): Hikes {
  const { tables, laws, does, runs, seed } = prepared;
  const factor = (what: Varied & keyof typeof KEY, hikeSd: number, daySd: number): Factor =>
    new Factor(KEY[what], hikeSd, daySd, laws.dayLikeness, does.has(what), stratified(seed, runs, KEY[what]));
  const slow = factor("pace", laws.paceHike, laws.paceDay);
  const hunger = factor("energy", laws.energyHike, laws.energyDay);
  const thirst = factor("thirst", laws.thirstHike, laws.thirstDay);
  const flame = factor("fuel", laws.fuelHike, laws.fuelDay);
  const drain = factor("charge", laws.chargeHike, laws.chargeDay);
  const hikes = emptyHikes(runs, from, to, tables.length);
  const isOpen = doorMemory();
  const isThere = boxMemory();
  const snowed = does.has("snow");
  for (let run = from; run < to; run++) {
    const at = (run - from) * tables.length;
    const snow = snowed ? snowYear(uniform(seed, run, KEY.snow, 0), laws) : 0;
    const flows = flowsOn(prepared, run);
    let [late, night, n, lastDay, wasWet] = [0, 0, 0, 0, false];
    let [bagKg, bagG, extraWh] = [0, 0, 0];
    for (const [l, table] of tables.entries()) {
      if (table.foodSold || l === 0) bagKg = table.startKg;
      if (table.fuelSold || l === 0) bagG = table.startG;
      const snowDays = snow > 0 ? table.lateSnowDays : snow < 0 ? -table.littleSnowDays : 0;
      const snowADay = snowDays / table.days.length;
      let [legDays, eaten, burnt, rested, restedOnTrail, longest, dry] = [table.days.length, 0, 0, 0, 0, 0, 0];
      let coldest = Infinity;
      let draining = 0;
      for (const day of table.days) {
        n++;
        const longer = does.has("pace") ? 1 / slow.on(seed, run, n) : 1;
        const hungrier = hunger.on(seed, run, n);
        const thirstier = thirst.on(seed, run, n);
        let rest = 0;
        if (does.has("illness") && uniform(seed, run, KEY.ill, n) < laws.illnessPerDay)
          rest = illnessDays(uniform(seed, run, KEY.illDays, n), laws.illnessDays);
        const onTrail = Math.min(MOST_ILL_ON_TRAIL, rest);
        const more = (longer - 1) * day.share + snowADay;
        late += more + rest;
        legDays += more + rest;
        rested += rest;
        restedOnTrail += onTrail;
        eaten += day.eatenKg * (longer + snowADay) * hungrier + onTrail * table.restKgADay * hungrier;
        burnt += day.burntG * (longer + snowADay + onTrail) * flame.on(seed, run, n);
        draining += longer * drain.on(seed, run, n);
        longest += longer * thirstier;
        dry = Math.max(dry, longer * thirstier);
        const date = day.day + Math.round(late);
        let offK = day.laterK * late;
        if (does.has("weather")) {
          const like = n === 1 ? 0 : laws.nightLikeness ** Math.max(1, date - lastDay) * Math.exp(-day.km / LIKE_KM);
          night = follow(night, like, normal(seed, run, KEY.night, date));
          const isWet = uniform(seed, run, KEY.wet, date) < wetAfter(day.wetChance, n === 1 ? undefined : wasWet);
          wasWet = isWet;
          if (isWet) hikes.wetDays[run - from]!++;
          offK += nightOff(day.wetChance, day.sdK, isWet, night);
        }
        lastDay = date;
        if (day.outside) coldest = Math.min(coldest, day.meanLowC + offK - table.standsC);
      }
      bagKg -= eaten;
      bagG -= burnt;
      const daily = longest / table.days.length;
      let trouble = 0;
      if (bagKg < -SCRAP_KG) trouble |= bit("food");
      if (bagG < -SCRAP_G) trouble |= bit("fuel");
      if (table.charge) {
        extraWh += moreCharge(table.charge, draining / table.days.length, restedOnTrail);
        if (table.charge.overWh - extraWh < 0) trouble |= bit("charge");
        if (table.charge.filled) extraWh = 0;
      }
      if (does.has("sources") && table.arrivals.some((one) => isThirsty(one, dry, flows))) trouble |= bit("water");
      if (coldest < 0) trouble |= bit("cold");
      if (table.door) {
        const isShut = does.has("stops") && uniform(seed, run, KEY.shut, table.door.index) < laws.shutFraction;
        if (isShut || !isOpen(table.door, late)) trouble |= bit("shut");
      }
      if (does.has("boxes"))
        for (const box of table.boxes)
          if (uniform(seed, run, KEY.box, box.index) > isThere(box, late)) trouble |= bit("box");
      if (does.has("gear") && fails(table, seed, run, l, laws.failuresPer1000Km)) trouble |= bit("gear");
      hikes.troubles[at + l] = trouble;
      hikes.foodLeftKg[at + l] = bagKg;
      hikes.eatenKg[at + l] = eaten;
      hikes.burntG[at + l] = burnt;
      hikes.wantedL[at + l] = daily * (does.has("sources") ? wantedL(table, flows) : table.drunkL);
      hikes.heaviestKg[at + l] = table.heaviestKg + table.drunkL * (daily - 1);
      hikes.nightK[at + l] = Number.isFinite(coldest) ? coldest : NO_NIGHT_K;
      hikes.days[at + l] = legDays;
      hikes.lateDays[at + l] = late;
      hikes.restDays[at + l] = rested;
    }
    hikes.pace[run - from] = slow.ofWhole(run);
    hikes.energy[run - from] = hunger.ofWhole(run);
    hikes.snowYear[run - from] = snow;
  }
  return hikes;
}

/** Whether a source has water on a hike: by its own draw, in a common drought all by one. */
export function flowsOn({ laws, seed }: Prepared, run: number): (source: { id: number; chance: number }) => boolean {
  const drought = uniform(seed, run, KEY.drought, 0) < laws.commonDrought;
  return ({ id, chance }) => uniform(seed, run, KEY.source, drought ? 0 : id) <= chance;
}

/** Of a leg without a night outside. */
const NO_NIGHT_K = 99;

export const bit = (trouble: Trouble): number => 1 << TROUBLES.indexOf(trouble);

const follow = (before: number, like: number, draw: number): number =>
  like * before + Math.sqrt(1 - like * like) * draw;

function emptyHikes(runs: number, from: number, to: number, legCount: number): Hikes {
  const count = Math.max(0, to - from);
  const byLeg = (): Float32Array => new Float32Array(count * legCount);
  return {
    runs,
    from,
    to,
    legCount,
    troubles: new Uint16Array(count * legCount),
    foodLeftKg: byLeg(),
    eatenKg: byLeg(),
    burntG: byLeg(),
    heaviestKg: byLeg(),
    wantedL: byLeg(),
    nightK: byLeg(),
    days: byLeg(),
    lateDays: byLeg(),
    restDays: new Uint16Array(count * legCount),
    pace: new Float32Array(count),
    energy: new Float32Array(count),
    wetDays: new Uint16Array(count),
    snowYear: new Int8Array(count),
  };
}

/** Parts of the hikes as one, in the order of their numbers, whoever walked them. */
export function joinHikes(parts: readonly Hikes[]): Hikes {
  const sorted = [...parts].sort((a, b) => a.from - b.from);
  const [first] = sorted;
  const whole = emptyHikes(first!.runs, first!.from, sorted.at(-1)!.to, first!.legCount);
  for (const part of sorted) {
    const offset = part.from - whole.from;
    for (const key of BY_LEG) whole[key].set(part[key] as never, offset * whole.legCount);
    for (const key of BY_HIKE) whole[key].set(part[key] as never, offset);
  }
  return whole;
}

const BY_LEG = [
  "troubles",
  "foodLeftKg",
  "eatenKg",
  "burntG",
  "heaviestKg",
  "wantedL",
  "nightK",
  "days",
  "lateDays",
  "restDays",
] as const;
const BY_HIKE = ["pace", "energy", "wetDays", "snowYear"] as const;

function illnessDays(u: number, meanDays: number): number {
  const stays = (meanDays - 1) / meanDays;
  return Math.min(MOST_ILL_DAYS, 1 + (stays > 0 ? Math.floor(Math.log(1 - u) / Math.log(stays)) : 0));
}

function snowYear(u: number, { lowSnowFraction, highSnowFraction }: Plan["odds"]): number {
  return u < lowSnowFraction ? -1 : u > 1 - highSnowFraction ? 1 : 0;
}

/** A chain with the chance of the day in the mean: wet days follow wet ones. */
function wetAfter(chance: number, wasWet: boolean | undefined): number {
  if (wasWet === undefined) return chance;
  return wasWet ? chance + PERSISTENCE * (1 - chance) : chance * (1 - PERSISTENCE);
}

/** Off the mean low: what is wet is milder, what is dry colder, the spread of all together that of the plan. */
function nightOff(wetChance: number, sdK: number, isWet: boolean, night: number): number {
  const p = Math.min(0.9, wetChance);
  const dryK = Math.min(DRY_COLDER_K, (WET_MILDER_K * p) / (1 - p));
  const wetK = p > 0 ? (dryK * (1 - p)) / p : 0;
  const linked = p * wetK * wetK + (1 - p) * dryK * dryK;
  return (isWet ? wetK : -dryK) + Math.sqrt(Math.max(0.25 * sdK * sdK, sdK * sdK - linked)) * night;
}

function moreCharge({ usedWh, restWhADay }: Charge, factor: number, restDays: number): number {
  return usedWh * (factor - 1) + restDays * restWhADay;
}

function isThirsty(
  arrival: LegTable["arrivals"][number],
  thirst: number,
  flows: (source: { id: number; chance: number }) => boolean,
): boolean {
  if (flows(arrival)) return false;
  const lastsH = arrival.overH / thirst + THIRST_H;
  return !arrival.onward.some((next) => next.afterH <= lastsH && flows(next));
}

/** Litres of the longest way to water that is there. */
function wantedL({ drunkL, arrivals }: LegTable, flows: (source: { id: number; chance: number }) => boolean): number {
  let most = drunkL;
  for (const arrival of arrivals) {
    if (flows(arrival)) continue;
    const next = arrival.onward.find(flows) ?? arrival.onward.at(-1)!;
    most = Math.max(most, arrival.drunkL + arrival.perHL * next.afterH);
  }
  return most;
}

function fails({ pieces, km, shoes }: LegTable, seed: number, run: number, leg: number, per1000Km: number): boolean {
  const chance = -Math.expm1((-per1000Km * km) / 1000);
  for (const piece of pieces)
    if (uniform(seed, run, KEY.gear, piece ^ Math.imul(leg + 1, 0x9e3779b1)) < chance) return true;
  return shoes.some(({ index, wornKm, untilKm, meanKm, startKm }) => {
    const life = lifeDrawnKm(meanKm, startKm, uniform(seed, run, KEY.shoes, index));
    return life > wornKm && life <= untilKm;
  });
}

/** The moment of an arrival that is so many walking days later. */
export function laterBy(
  { arrives, wakesH, sleepsH }: Pick<Door, "arrives" | "wakesH" | "sleepsH">,
  days: number,
): Moment {
  if (days === 0) return arrives;
  const spanH = sleepsH - wakesH;
  const walked = (arrives.clockH - wakesH) / spanH + days;
  const day = Math.floor(walked);
  return { day: arrives.day + day, clockH: wakesH + (walked - day) * spanH };
}

/** Doors are looked up once for every quarter of an hour. */
function doorMemory(): (door: Door, late: number) => boolean {
  const known = new Map<string, boolean>();
  return (door, late) => {
    const from = laterBy(door, late);
    const key = `${door.index} ${from.day} ${Math.round(4 * from.clockH)}`;
    let open = known.get(key);
    if (open === undefined) {
      const to = { day: door.leaves.day + from.day - door.arrives.day, clockH: door.leaves.clockH };
      open = openDuring(door.opening, { from, to });
      known.set(key, open);
    }
    return open;
  };
}

function boxMemory(): (box: BoxThere, late: number) => number {
  const known = new Map<string, number>();
  return ({ index, service, sentDay, arrivesDay, holdDays }, late) => {
    const day = arrivesDay + Math.floor(late + 0.5);
    const key = `${index} ${day}`;
    let chance = known.get(key);
    if (chance === undefined) known.set(key, (chance = chanceThere(service, { sentDay, arrivesDay: day, holdDays })));
    return chance;
  };
}
