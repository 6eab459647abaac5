/** The pack cell by cell, told the long way round, against the fast one on random plans. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { arbitraryPlan, type PlanCase } from "../../test/arbitraryPlan.ts";
import { buildKit } from "../kit/kit.ts";
import { heatFactor, heatMetres } from "../provision/water.ts";
import { provision } from "../provision/provision.ts";
import { buildSeason } from "../season/season.ts";
import { DaylightTable } from "../season/sun.ts";
import { mendTracks } from "../track/mend.ts";
import { nodeAt, walkedAt } from "../track/place.ts";
import { buildProfile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import { cellHighC, partConditions } from "../walk/conditions.ts";
import { buildHalts } from "../walk/halts.ts";
import { buildTerrain } from "../walk/terrain.ts";
import { buildGround, walkDays } from "../walk/walk.ts";
import { hikerLoad } from "./load.ts";

const CARRIED_KG = 9;

/** One round of the pipeline at a load given beforehand. */
function oneRound({ plan, tracks }: PlanCase) {
  const profile = buildProfile(mendTracks(tracks), plan.trip.direction === "reverse");
  const halts = buildHalts(plan, profile);
  const season = buildSeason(plan.climate.stations, (trackM) => walkedAt(profile, trackM));
  const startDay = dayNumber(plan.trip.startDate)!;
  const ground = buildGround(
    plan,
    profile,
    buildTerrain(profile, plan.stretches),
    halts,
    startDay,
    new DaylightTable(),
  );
  const given = new Float64Array(profile.cellCount).fill(CARRIED_KG);
  const walk = walkDays(
    ground,
    plan.hikers.map(() => given),
  );
  const conditions = partConditions(profile, season, walk.parts);
  const kit = buildKit(plan, profile, halts);
  const sources = plan.sources
    .map((source) => ({ source, node: nodeAt(profile, source.trackM) }))
    .sort((a, b) => a.node - b.node);
  const heatM = heatMetres(profile, walk.parts, conditions, new Float64Array(profile.cellCount + 1));
  const hiker = plan.hikers[0]!;
  const kitLegs = kit.legs.map((leg) => leg[0]!);
  const supply = provision({
    hiker,
    profile,
    walk,
    halts,
    conditions,
    sources,
    startDay,
    loadKg: given,
    heatM,
    wornKgByLeg: kitLegs.map((leg) => leg.wornKg),
  });
  const into = { loadKg: new Float64Array(profile.cellCount), waterKg: new Float64Array(profile.cellCount) };
  return {
    hiker,
    profile,
    walk,
    conditions,
    supply,
    kitLegs,
    load: hikerLoad(hiker, walk.parts, supply, kitLegs, heatM, into),
  };
}

/** Walks the cells one after the other with a bag of food, a bottle and a can, and notes what they weigh. */
function told({ hiker, profile, walk, conditions, supply, kitLegs }: ReturnType<typeof oneRound>): Float64Array {
  const packKg = new Float64Array(profile.cellCount);
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
      packKg[c] =
        kitLegs[leg]!.baseKg + kitLegs[leg]!.consumableKg + foodKg + wrappersKg + fuelKg + Math.max(0, bottleL);
      eat(supplied.dayKg / (part.endNode - part.startNode));
      drink(
        (hiker.water.ratePerKmL / 1000) * profile.cellM * heatFactor(cellHighC(conditions[p]!, profile.heightM[c]!)),
      );
    }
    const dryCarry = supply.carries[carryIndex - 1];
    if (supplied.dry && dryCarry) drink(dryCarry.campL / dryCarry.dryCamps);
    eat(supplied.dinnerKg);
    fuelKg = Math.max(0, fuelKg - supplied.fuelKg);
  }
  return packKg;
}

test("every cell of every random plan weighs the same either way", () => {
  fc.assert(
    fc.property(arbitraryPlan, (given) => {
      const round = oneRound(given);
      const slow = told(round);
      for (let c = 0; c < slow.length; c++) {
        const difference = Math.abs(slow[c]! - round.load.loadKg[c]!);
        if (difference > 1e-9 + 1e-9 * slow[c]!)
          expect.fail(`cell ${c}: ${round.load.loadKg[c]} kg, the long way ${slow[c]} kg`);
      }
    }),
    { numRuns: 300, endOnFailure: true },
  );
});

test("the food that is bought is eaten or is the reserve, on every leg", () => {
  fc.assert(
    fc.property(arbitraryPlan, (given) => {
      const { walk, supply } = oneRound(given);
      for (const [leg, food] of supply.food.entries()) {
        let eaten = 0;
        for (const [p, part] of walk.parts.entries())
          if (part.legIndex === leg)
            eaten += supply.parts[p]!.breakfastKg + supply.parts[p]!.dayKg + supply.parts[p]!.dinnerKg;
        expect(eaten).toBeCloseTo(food.eatenKg, 9);
        expect(food.startKg).toBeCloseTo(food.eatenKg + food.reserveKg, 9);
      }
    }),
    { numRuns: 150, endOnFailure: true },
  );
});
