import { readFileSync } from "node:fs";
import { test } from "vitest";
import { computePlan, readGpx, readPlan } from "@gepack/core";
const track = readGpx(readFileSync("demo/corvane.gpx","utf8"), "corvane", "corvane").value!.track;
const plan = readPlan(JSON.parse(readFileSync("demo/corvane.gepack.json","utf8"))).value!;
const result = computePlan(plan, [track]);
for (const s of plan.sources.filter(s=>s.trackM>result.legs[5]!.fromM-5000 && s.trackM<result.legs[5]!.toM+1000)) console.log(s.id,s.kind,(s.trackM/1000).toFixed(1),s.offTrailM,s.reliable,s.chanceByMonth?.join(","));

test("x", () => {
  for (const l of [4,5,6]) { const leg = result.legs[l]!;
    console.log(leg.startDate, leg.endDate, leg.distanceM, leg.walkH, leg.detourH, leg.dayCount);
    for (const row of leg.hikers) { console.log(row.kit.bottleL); for (const c of row.carries) console.log(c.fromSourceId, c.toSourceId, (c.distanceM/1000).toFixed(1), c.walkH.toFixed(1), "w", c.walkingL.toFixed(2), "camp", c.dryCamps.toFixed(2), c.campHeat.toFixed(2), c.litres.toFixed(2)); console.log(row.detours.map(d=>[d.sourceId,d.distanceM,d.minutes.toFixed(0),d.sparedLh.toFixed(1),d.needed,d.made].join(" ")).join("\n")); break; }
  }
});
