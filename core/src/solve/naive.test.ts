/** The hot loops told the long way round, on random plans: every fast figure against a plain one. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { arbitraryPlan, runs, type PlanCase } from "../../test/arbitraryPlan.ts";
import { layGround } from "../../test/ground.ts";
import { models } from "../models/index.ts";
import type { EffortInput } from "../models/effort.ts";
import { provision } from "../provision/provision.ts";
import type { HikerSupply } from "../provision/supply.ts";
import { sunFraction } from "../provision/water.ts";
import { belowHigh } from "../season/diurnal.ts";
import { SnowWater } from "../provision/snowWater.ts";
import { climateAt, skyAt } from "../season/season.ts";
import { snowAt } from "../season/snow.ts";
import { daylight } from "../season/sun.ts";
import { dayOfYear } from "../units/day.ts";
import { partConditions } from "../walk/conditions.ts";
import { allDetours } from "../walk/detours.ts";
import { heatSpeedFactor, heightSpeedFactor, loadSpeedFactor } from "../walk/slow.ts";
import { levelHours } from "../walk/stride.ts";
import { powderIndex, SURFACE_FACTORS, SURFACE_ROWS } from "../walk/surfaces.ts";
import { BY_THE_HOUR, seasonHolds } from "../walk/terrain.ts";
import { firmAfterSunriseH } from "../models/snow.ts";
import { blocksOf, walkBlock, type DayPart } from "../walk/walk.ts";
import { hikerLoad } from "../load/load.ts";
import { packArrays } from "../walk/workspace.ts";
import { walkedOf } from "../track/place.ts";

const CARRIED_KG = 9;

/** One round of the pipeline on the first block, at a load given beforehand. */
function oneRound({ plan, tracks }: PlanCase) {
  const { ground, kit, sources, needs, start } = layGround(plan, tracks);
  const { profile } = ground;
  const block = blocksOf(ground.halts)[0]!;
  const given = new Float64Array(profile.cellCount).fill(CARRIED_KG);
  const loads = plan.hikers.map(() => given);
  // Every other water off the trail is walked to, whether that pays or not.
  const { node: firstNode } = ground.halts[block.firstLeg]!;
  const { node: endNode } = ground.halts[block.endLeg]!;
  const walkedTo = sources.filter(
    ({ node, offTrailM }, i) => offTrailM > 0 && node > firstNode && node < endNode && i % 2 === 0,
  );
  const walk = walkBlock(ground, block, start.walk, loads, allDetours([walkedTo]));
  const conditions = partConditions(ground, walk.parts);
  const kitLegs = kit.legs.slice(block.firstLeg, block.endLeg).map((leg) => leg[0]!);
  const supply = provision({
    needs: needs[0]!,
    ground,
    slope: ground.slopes[0],
    block,
    walk,
    conditions,
    sources,
    snow: SnowWater.of(ground, block, walk),
    loadKg: given,
    wornKg: kitLegs.map((leg) => leg.wornKg),
    bottleL: kitLegs.map((leg) => leg.bottleL),
    walkedTo,
    detourH: (distanceM, cell) => levelHours(ground, loads, distanceM, cell),
    before: start.supply[0]!,
    cooksFor: [],
    drinkL: new Float64Array(profile.cellCount + 1),
  });
  const { wrapperFraction } = plan.hikers[0]!.food;
  const into = packArrays(profile.cellCount);
  const load = hikerLoad({ wrapperFraction, parts: walk.parts, supply, kitLegs, into });
  return { plan, ground, walk, supply, kitLegs, load, toNode: ground.halts[block.endLeg]!.node };
}
type Round = ReturnType<typeof oneRound>;

const same = (what: string, got: number, want: number): void => {
  if (Math.abs(got - want) > 1e-9 + 1e-9 * Math.abs(want)) expect.fail(`${what}: ${got}, the long way ${want}`);
};
const holds = (law: (round: Round) => void, numRuns: number): void =>
  fc.assert(
    fc.property(arbitraryPlan, (given) => law(oneRound(given))),
    { numRuns: runs(numRuns), endOnFailure: true },
  );

/** Cells of a part with the clock on reaching them, as the fast walk keeps it: breaks spread evenly. */
function* clocked({ plan, walk }: Round, part: DayPart): Generator<{ cell: number; clockH: number }> {
  const clockPerH = 1 + Math.max(...plan.hikers.map((hiker) => hiker.pace.breakFraction));
  let clockH = part.startClockH + part.offTrailStartH * clockPerH;
  for (let cell = part.startNode; cell < part.endNode; cell++) {
    clockH += part.detours.reduce((sum, detour) => sum + (detour.node === cell ? detour.walkH * clockPerH : 0), 0);
    yield { cell, clockH };
    clockH += walk.cellH[cell]! * clockPerH;
  }
}

test("hours of every cell: slope, load, surface, snow, heat and dark, the slowest hiker's", () => {
  holds((round) => {
    const { plan, ground, walk } = round;
    const { profile, terrain, baseH } = ground;
    for (const part of walk.parts) {
      const morning = climateAt(
        ground.season,
        walkedOf(profile, part.startNode),
        profile.heightM[part.startNode]!,
        part.day,
      );
      const light = daylight(part.day, 0, Math.round(10 * profile.latDeg[part.startNode]!) / 10);
      // The day's weather is that of where the day began, also on the parts after a stop.
      if (walk.parts.some((other) => other.day === part.day && other.startNode < part.startNode)) continue;
      for (const { cell, clockH } of clocked(round, part)) {
        const snowed =
          terrain.snow[cell]! >= 0 &&
          seasonHolds(terrain.snowFromDay[cell]!, terrain.snowToDay[cell]!, dayOfYear(part.day));
        const rise = profile.heightM[cell]! - profile.heightM[part.startNode]!;
        const { cloud } = skyAt(ground.season, walkedOf(profile, part.startNode), part.day);
        const firmH = firmAfterSunriseH(morning.lowC - 0.0045 * rise, cloud);
        const thawed = morning.hotDayC - 0.0065 * rise > 0;
        const crust = thawed && firmH > 0 && clockH < part.sunriseH + firmH;
        const coat = SURFACE_FACTORS.findIndex(({ id }) => id === (crust ? "firm-snow" : "soft-snow"));
        // Depths are those of the nearest 100 m.
        const lies = (): ReturnType<typeof snowAt> =>
          snowAt(
            terrain.depths!,
            walkedOf(profile, part.startNode),
            100 * Math.round(profile.heightM[cell]! / 100),
            dayOfYear(part.day),
          );
        const deep = (): number => powderIndex((100 * lies().depthM) / Math.max(0.1, lies().cover));
        const byHour = snowed && terrain.snow[cell]! === BY_THE_HOUR;
        const snow = byHour ? (thawed ? coat : deep()) : terrain.snow[cell]!;
        const surface = SURFACE_ROWS[plan.dayRules.onSnow][snowed ? snow : terrain.bare[cell]!]!;
        const quarter = Math.min(24, Math.floor(clockH * 4) / 4);
        const sunrise = Math.round(part.sunriseH * 10) / 10;
        const airC =
          morning.highC -
          (profile.heightM[cell]! - profile.heightM[part.startNode]!) * 0.0065 -
          (morning.highC - morning.lowC) * belowHigh(quarter === 24 ? 0 : quarter, sunrise);
        const grade = profile.gradeFraction[cell]!;
        const slope = Math.max(
          ...baseH.map((base) => base[cell]! / loadSpeedFactor(CARRIED_KG, grade, plan.dayRules.loadSlowness)),
        );
        const dark =
          part.daylightH < 24 &&
          (clockH < Math.min(light.lightFromH, part.sunriseH - 0.5) ||
            clockH > Math.max(light.lightToH, part.sunsetH + 0.5))
            ? plan.dayRules.nightSpeedFactor
            : 1;
        const speed = plan.dayRules.surfaceSpeed[surface.id] ?? surface.speedFactor;
        const heat = heatSpeedFactor(walk.cellC[cell]!, plan.dayRules.heatSlowFromC, plan.dayRules.heatSlowPerK);
        const thin = heightSpeedFactor(profile.heightM[cell]!, part.slowPerM);
        // A clock on the very edge of a quarter or of dusk may fall either way by rounding.
        const edge =
          Math.abs(clockH * 4 - Math.round(clockH * 4)) < 1e-6 || Math.abs(clockH - part.sunriseH - firmH) < 1e-6;
        if (edge) continue;
        same(`air on cell ${cell}`, walk.cellC[cell]!, airC);
        same(`hours of cell ${cell}`, walk.cellH[cell]!, slope / speed / heat / thin / dark);
      }
    }
  }, 200);
});

test("energy and water of every cell, by the schools' own functions", () => {
  holds((round) => {
    const { plan, ground, walk, supply, kitLegs, toNode } = round;
    const hiker = plan.hikers[0]!;
    const effort = models.effort.get(hiker.schools.effort);
    const water = models.water.get(hiker.schools.water);
    const { profile } = ground;
    const input = (cell: number, extraKg: number, bodyKg: number): EffortInput => ({
      bodyKg,
      loadKg: CARRIED_KG + extraKg,
      speedMps: profile.cellM / walk.cellH[cell]! / 3600,
      gradePercent: 100 * profile.gradeFraction[cell]!,
      terrain: SURFACE_ROWS[plan.dayRules.onSnow][walk.surface[cell]!]!.terrainFactor,
    });
    let litres = 0;
    for (const part of walk.parts) {
      const sky = skyAt(ground.season, walkedOf(profile, part.startNode), part.day);
      for (let cell = part.startNode; cell < part.endNode; cell++) {
        const work = input(cell, 0, hiker.bodyKg);
        const rate =
          hiker.water.measuredLph ??
          water.rateLph({
            ...work,
            powerW: effort.powerW(work),
            temperatureC: walk.cellC[cell]!,
            humidity: sky.humidity,
            sun: sunFraction(part) * (1 - 0.75 * sky.cloud),
            windMps: sky.windMps,
            heightCm: hiker.heightCm,
            clothing: hiker.water.clothing,
            perKmL: hiker.water.ratePerKmL,
            perHourL: hiker.water.ratePerHourL,
          });
        litres += rate * walk.cellH[cell]!;
      }
    }
    same("litres of the block", supply.drinkL[toNode]!, litres);

    // The first day alone: later ones are walked by a body that has changed.
    const day = walk.parts.filter((part) => part.day === walk.parts[0]!.day);
    let kcal = 0;
    for (const part of day) {
      const wornKg = kitLegs[part.legIndex]!.wornKg;
      for (let cell = part.startNode; cell < part.endNode; cell++)
        kcal += (effort.powerW(input(cell, wornKg, hiker.bodyKg)) * walk.cellH[cell]! * 3600) / 4184;
      const sideTrips = [
        [part.startNode, ground.halts[part.legIndex]!.backM, part.offTrailStartH],
        [part.endNode - 1, ground.halts[part.legIndex + 1]!.thereM, part.offTrailEndH],
        ...part.detours.map((detour) => [detour.node, detour.distanceM, detour.walkH] as const),
      ] as const;
      for (const [cell, footM, hours] of sideTrips) {
        if (hours === 0) continue;
        const speedMps = footM / hours / 3600;
        const level = { ...input(cell, wornKg, hiker.bodyKg), speedMps, gradePercent: 0, terrain: 1.1 };
        kcal += (effort.powerW(level) * hours * 3600) / 4184;
      }
    }
    same("kcal of the first day", supply.energies[0]!.walkKcal, kcal * hiker.pace.effortFactor);
  }, 300);
});

/** Walks the cells one after the other with a bag of food, a bottle and a can, and notes what they weigh. */
function packsOf({ plan, ground, walk, supply, kitLegs }: Round): Float64Array {
  const hiker = plan.hikers[0]!;
  const packKg = new Float64Array(ground.profile.cellCount);
  let foodKg = 0;
  let wrappersKg = 0;
  let fuelKg = 0;
  let bottleL = 0;
  let drunkBeforeL = 0;
  let carryIndex = 0;
  let leg = -1;
  const eat = (kg: number): void => {
    foodKg -= kg;
    wrappersKg += kg * hiker.food.wrapperFraction;
  };
  const drink = (litres: number): void => {
    const free = Math.min(drunkBeforeL, litres);
    drunkBeforeL -= free;
    bottleL -= litres - free;
  };
  for (const [p, part] of walk.parts.entries()) {
    if (part.legIndex !== leg) {
      leg = part.legIndex;
      foodKg = supply.food[leg]!.startKg;
      fuelKg = supply.fuel[leg]!.startKg;
      wrappersKg = 0;
    }
    const supplied = supply.parts[p]!;
    eat(supplied.breakfastKg);
    for (let c = part.startNode; c < part.endNode; c++) {
      const carry = supply.carries[carryIndex];
      if (carry?.fromNode === c) {
        bottleL = carry.litres;
        drunkBeforeL = carry.drunkL;
        drink(carry.approachL);
        carryIndex++;
      }
      const kit = kitLegs[leg]!;
      const gearKg = kit.baseKg + kit.consumableKg + supply.fuel[leg]!.containerKg;
      packKg[c] = gearKg + foodKg + wrappersKg + fuelKg + Math.max(0, bottleL);
      eat(supplied.dayKg / (part.endNode - part.startNode));
      drink(supply.drinkL[c + 1]! - supply.drinkL[c]!);
    }
    const dryCarry = supply.carries[carryIndex - 1];
    if (dryCarry && part.endNode < dryCarry.toNode) drink(supplied.campL);
    eat(supplied.dinnerKg);
    fuelKg = Math.max(0, fuelKg - supplied.fuelKg);
  }
  return packKg;
}

test("every cell of every random plan weighs the same either way", () => {
  holds((round) => {
    const slow = packsOf(round);
    for (let c = 0; c < round.toNode; c++) same(`cell ${c}`, round.load.loadKg[c]!, slow[c]!);
  }, 300);
});

test("the food that is bought is eaten or is the reserve, and the fuel burnt or left, on every leg", () => {
  holds(({ walk, supply }) => {
    const eaten = (leg: number, pick: (part: HikerSupply["parts"][number]) => number): number =>
      walk.parts.reduce((sum, part, p) => sum + (part.legIndex === leg ? pick(supply.parts[p]!) : 0), 0);
    for (const [leg, food] of supply.food.entries()) {
      expect(eaten(leg, (part) => part.breakfastKg + part.dayKg + part.dinnerKg)).toBeCloseTo(food.eatenKg, 9);
      expect(food.startKg).toBeCloseTo(food.eatenKg + food.reserveKg + food.forLaterKg, 9);
      const fuel = supply.fuel[leg]!;
      expect(eaten(leg, (part) => 1000 * part.fuelKg)).toBeCloseTo(fuel.needG, 9);
      const left = 1000 * fuel.startKg - fuel.needG;
      expect(Math.abs(left - fuel.endG)).toBeLessThanOrEqual(3);
    }
  }, 150);
});
