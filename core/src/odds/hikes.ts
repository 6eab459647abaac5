/**
 * Simulated hikes: the plan's own days, longer or shorter, warmer or colder, hungrier or not, with sources that are dry,
 * doors that are closed, boxes that are late, pieces that fail and days lost to illness.
 *
 * Laws, all in the document and editable: factors of a person are lognormal about the plan, one of the hike and one of
 * the day (0.08 and 0.10 of pace, 0.10 and 0.10 of energy, others judgement), a day like the one before by 0.3 [L, M].
 * Of need: resting equations are within ±10 % for eight adults in ten, the cost of walking with a load likewise [M]; it is
 * the same all the way, and three quarters of it are bought after two resupplies [L]. Short of food is by half a day and
 * more, rations cut by a tenth.
 * Lows: the plan's own spread of single nights, a night like the one before by 0.7 a day and exp(−km/500), 1.5 K milder
 * on wet days, which follow one another as a chain [M]. Sources: their chance of the month, in three of ten years all
 * with one draw [L]. Parcels: the post's own law. Illness: a day of every 167, one day of rest and a geometric number
 * more, of which three are spent out of the bag. Shoes: Weibull; other pieces: exponential. A slower day takes longer
 * and more food, fuel, water and charge alike; a later day has the season of its date at the planned place. Whoever has run
 * out comes on as quickly; nobody turns back. Every draw is keyed by what it is of: other plans, workers and orders meet
 * the same luck.
 */
import { lifeDrawnKm } from "../models/wear.ts";
import { VARIED } from "../plan/ids.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { openDuring, type Moment } from "../stops/openings.ts";
import { chanceThere } from "../stops/post.ts";
import { normal, stratified, uniform } from "../units/draws.ts";
import {
  Factor,
  follow,
  FOOD_BY,
  illnessDays,
  KEY,
  LIKE_KM,
  nightOff,
  NOTICED_AFTER,
  SHORT_DAYS,
  snowYear,
  WATER_BY_PACE,
  wetAfter,
} from "./laws.ts";
import { emptyHikes, type Hikes } from "./record.ts";
import { legTables, type BoxThere, type Charge, type Door, type LegTable, type Night } from "./tables.ts";

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
}

/** Without water for so long is thirst and no more [L]. */
const THIRST_H = 2;
/** Less than this is not short of anything. */
const SCRAP_G = 0.5;
/** Who is ill for longer is taken down, and lives on nothing of the bag [L]. */
const MOST_ILL_ON_TRAIL = 3;

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

/** All hikes, or those from a number on and before another, for several that share the work. */
export function walkHikes(prepared: Prepared, from = 0, to = prepared.runs): Hikes {
  const { tables, runs } = prepared;
  const luck: Luck = { prepared, factors: factorsOf(prepared), isOpen: doorMemory(), isThere: boxMemory() };
  const hikes = emptyHikes(runs, from, to, tables.length);
  for (let run = from; run < to; run++) {
    const walker = new Walker(luck, run);
    const at = (run - from) * tables.length;
    for (const [l, table] of tables.entries()) walker.walk(table, l, hikes, at + l);
    hikes.pace[run - from] = luck.factors.pace.ofWhole(run);
    hikes.energy[run - from] = luck.factors.energy.ofWhole(run);
    hikes.snowYear[run - from] = walker.snow;
    hikes.wetDays[run - from] = walker.wetDays;
  }
  return hikes;
}

type Factors = Record<"pace" | "energy" | "thirst" | "fuel" | "charge", Factor>;

function factorsOf({ laws, does, runs, seed }: Prepared): Factors {
  const factor = (what: keyof Factors, hikeSd: number, daySd: number): Factor =>
    new Factor(KEY[what], hikeSd, daySd, laws.dayLikeness, does.has(what), stratified(seed, runs, KEY[what]));
  return {
    pace: factor("pace", laws.paceHike, laws.paceDay),
    energy: factor("energy", laws.energyHike, laws.energyDay),
    thirst: factor("thirst", laws.thirstHike, laws.thirstDay),
    fuel: factor("fuel", laws.fuelHike, laws.fuelDay),
    charge: factor("charge", laws.chargeHike, laws.chargeDay),
  };
}

interface Luck {
  prepared: Prepared;
  factors: Factors;
  isOpen: (door: Door, late: number) => boolean;
  isThere: (box: BoxThere, late: number) => number;
}

/** What a leg came to. */
interface Walked {
  days: number;
  eatenKg: number;
  burntG: number;
  restDays: number;
  /** Of those, out of the bag. */
  fedRestDays: number;
  /** Multiples of the planned charge and thirst, on average of its days, and of thirst on the worst of them. */
  charge: number;
  thirst: number;
  mostThirst: number;
  nightK: number;
}

/** One hiker of many along the trail, with all that goes on from leg to leg. */
class Walker {
  readonly snow: number;
  wetDays = 0;
  private readonly flows: (source: { id: number; chance: number }) => boolean;
  private late = 0;
  /** Days so far, and the date of the last. */
  private n = 0;
  private lastDay = 0;
  private night = 0;
  private wasWet = false;
  private resupplies = 0;
  private bagKg = 0;
  private bagG = 0;
  private extraWh = 0;

  constructor(
    private readonly luck: Luck,
    private readonly run: number,
  ) {
    const { prepared } = luck;
    const { does, seed, laws } = prepared;
    this.snow = does.has("snow") ? snowYear(uniform(seed, run, KEY.snow, 0), laws) : 0;
    this.flows = does.has("sources") ? flowsOn(prepared, run) : () => true;
  }

  /** Walks a leg and tells of it at one place of the hikes. */
  walk(table: LegTable, leg: number, hikes: Hikes, at: number): void {
    if (table.foodSold || leg === 0) this.bagKg = table.startKg * this.bought();
    if (table.fuelSold || leg === 0) this.bagG = table.startG;
    const walked = this.days(table);
    this.bagKg -= walked.eatenKg;
    this.bagG -= walked.burntG;
    const missingKg = Math.max(0, -this.bagKg - this.luck.prepared.laws.shortRations * walked.eatenKg);
    const shortDays = table.restKgADay > 0 ? missingKg / table.restKgADay : 0;
    hikes.shortDays[at] = shortDays;
    hikes.troubles[at] = this.troubles(table, leg, walked, shortDays);
    hikes.foodLeftKg[at] = this.bagKg;
    hikes.eatenKg[at] = walked.eatenKg;
    hikes.burntG[at] = walked.burntG;
    hikes.wantedL[at] = walked.thirst * wantedL(table, this.flows);
    hikes.heaviestKg[at] = table.heaviestKg + table.drunkL * (walked.thirst - 1);
    hikes.nightK[at] = Number.isFinite(walked.nightK) ? walked.nightK : NO_NIGHT_K;
    hikes.days[at] = walked.days;
    hikes.lateDays[at] = this.late;
    hikes.restDays[at] = walked.restDays;
  }

  /** What is bought as a multiple of what is planned: who eats more, or walks more slowly, comes to know it. */
  private bought(): number {
    const { prepared, factors } = this.luck;
    const noticed = prepared.laws.noticed * Math.min(1, this.resupplies++ / NOTICED_AFTER);
    const { energy, pace } = factors;
    return (energy.ofWhole(this.run) ** FOOD_BY.need / pace.ofWhole(this.run) ** FOOD_BY.pace) ** noticed;
  }

  private days(table: LegTable): Walked {
    const { run, luck } = this;
    const { seed } = luck.prepared;
    const { pace, energy, thirst, fuel, charge } = luck.factors;
    const count = table.days.length;
    const snowDays = this.snow > 0 ? table.lateSnowDays : this.snow < 0 ? -table.littleSnowDays : 0;
    const snowADay = snowDays / count;
    const walked: Walked = {
      days: count, eatenKg: 0, burntG: 0, restDays: 0, fedRestDays: 0, charge: 0, thirst: 0, mostThirst: 0, nightK: Infinity,
    }; // prettier-ignore
    for (const day of table.days) {
      const n = ++this.n;
      // Slower by so much, the same ground takes so much longer.
      const longer = 1 / pace.on(seed, run, n);
      const hungrier = energy.on(seed, run, n) ** FOOD_BY.need;
      const thirstier = longer ** WATER_BY_PACE * thirst.on(seed, run, n);
      const rest = this.rest();
      const fed = Math.min(MOST_ILL_ON_TRAIL, rest);
      const more = (longer - 1) * day.share + snowADay + rest;
      this.late += more;
      walked.days += more;
      walked.restDays += rest;
      walked.fedRestDays += fed;
      walked.eatenKg += (day.eatenKg * (longer ** FOOD_BY.pace + snowADay) + fed * table.restKgADay) * hungrier;
      walked.burntG += day.burntG * (longer + snowADay + fed) * fuel.on(seed, run, n);
      walked.charge += (longer * charge.on(seed, run, n)) / count;
      walked.thirst += thirstier / count;
      walked.mostThirst = Math.max(walked.mostThirst, thirstier);
      const offK = day.laterK * this.late + this.weather(day);
      if (day.outside) walked.nightK = Math.min(walked.nightK, day.meanLowC + offK - table.standsC);
    }
    return walked;
  }

  /** Days lost to illness on a day. */
  private rest(): number {
    const { does, laws, seed } = this.luck.prepared;
    if (!does.has("illness") || uniform(seed, this.run, KEY.ill, this.n) >= laws.illnessPerDay) return 0;
    return illnessDays(uniform(seed, this.run, KEY.illDays, this.n), laws.illnessDays);
  }

  /** Kelvin that the night after a day is off its mean. */
  private weather(day: Night): number {
    const { does, laws, seed } = this.luck.prepared;
    if (!does.has("weather")) return 0;
    const isFirst = this.n === 1;
    const date = day.day + Math.round(this.late);
    const gap = Math.max(1, date - this.lastDay);
    const like = isFirst ? 0 : laws.nightLikeness ** gap * Math.exp(-day.km / LIKE_KM);
    this.lastDay = date;
    this.night = follow(this.night, like, normal(seed, this.run, KEY.night, date));
    const wetChance = wetAfter(day.wetChance, isFirst ? undefined : this.wasWet);
    this.wasWet = uniform(seed, this.run, KEY.wet, date) < wetChance;
    if (this.wasWet) this.wetDays++;
    return nightOff(day.wetChance, day.sdK, this.wasWet, this.night);
  }

  /** What went wrong on a leg and at its end, as bits. */
  private troubles(table: LegTable, leg: number, walked: Walked, shortDays: number): number {
    const { run, luck, late } = this;
    const { does, laws, seed } = luck.prepared;
    const { charge, door } = table;
    let found = 0;
    const met = (trouble: Trouble, is: boolean): void => void (found |= is ? bit(trouble) : 0);
    met("food", shortDays >= SHORT_DAYS);
    met("fuel", this.bagG < -SCRAP_G);
    if (charge) {
      this.extraWh += moreCharge(charge, walked.charge, walked.fedRestDays);
      met("charge", charge.overWh < this.extraWh);
      if (charge.filled) this.extraWh = 0;
    }
    met(
      "water",
      table.arrivals.some((one) => isThirsty(one, walked.mostThirst, this.flows)),
    );
    met("cold", walked.nightK < 0);
    if (door) {
      const isShut = does.has("stops") && uniform(seed, run, KEY.shut, door.index) < laws.shutFraction;
      met("shut", isShut || !luck.isOpen(door, late));
    }
    if (does.has("boxes"))
      for (const box of table.boxes) met("box", uniform(seed, run, KEY.box, box.index) > luck.isThere(box, late));
    met("gear", does.has("gear") && fails(table, seed, run, leg, laws.failuresPer1000Km));
    return found;
  }
}

/** Whether a source has water on a hike: by its own draw, in a common drought all by one. */
export function flowsOn({ laws, seed }: Prepared, run: number): (source: { id: number; chance: number }) => boolean {
  const drought = uniform(seed, run, KEY.drought, 0) < laws.commonDrought;
  return ({ id, chance }) => uniform(seed, run, KEY.source, drought ? 0 : id) <= chance;
}

/** Of a leg without a night outside. */
const NO_NIGHT_K = 99;

export const bit = (trouble: Trouble): number => 1 << TROUBLES.indexOf(trouble);

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
