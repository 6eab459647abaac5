/** Random edits, undone and redone at random, against a list of what the document was: they agree at every step. */
import "fake-indexeddb/auto";
import { changesBetween } from "@gepack/core";
import { produce } from "immer";
import { seededRandom } from "../../demo/generate/random.ts";
import { db } from "../src/data/db.ts";
import { change, step, storePlan } from "../src/data/plans.ts";
import { planWith } from "../test/plans.ts";
import { drawFrom, type Draw, type Report, type Strength } from "./report.ts";

const STEPS = 12;

export async function* attackUndo({ seed, undoRuns }: Strength): AsyncGenerator<Report> {
  const draw = drawFrom(seededRandom(seed).uniform);
  const failures: string[] = [];
  for (let run = 0; run < undoRuns; run++) {
    const id = `p${run}`;
    await storePlan(planWith({ id }), []);
    const outcome = await randomRun(id, draw);
    if (outcome !== undefined) failures.push(`run ${run}: ${outcome}`);
  }
  yield { what: "random runs of edits, undo and redo", tried: undoRuns, failures };
}

async function randomRun(id: string, draw: Draw): Promise<string | undefined> {
  const now = async (): Promise<string> => JSON.stringify((await db.plans.get(id))!.doc);
  const states = [await now()];
  let at = 0;
  for (let i = 0; i < STEPS; i++) {
    const kind = draw.below(4);
    if (kind < 2) {
      await randomEdit(id, draw, i);
      const state = await now();
      if (state !== states[at]) states.splice(++at, Infinity, state);
    } else {
      const direction = kind === 2 ? "undo" : "redo";
      const may = direction === "undo" ? at > 0 : at < states.length - 1;
      const label = await step(id, direction);
      if ((label !== undefined) !== may) return `step ${i}: ${direction} answered ${String(label)}`;
      if (may) at += direction === "undo" ? -1 : 1;
    }
    if ((await now()) !== states[at]) return `step ${i}: another document than before`;
  }
  return undefined;
}

async function randomEdit(id: string, draw: Draw, i: number): Promise<void> {
  const kind = draw.below(5);
  const before = (await db.plans.get(id))!.doc;
  const after = produce(before, (plan) => {
    if (kind === 0) plan.trip.name = `name ${draw.below(3)}`;
    else if (kind === 1)
      plan.stops.push({ ...planWith({ stops: [{ id: `s${i}`, name: "S", trackM: 100 * i }] }).stops[0]! });
    else if (kind === 2) plan.stops.splice(draw.below(plan.stops.length + 1), 1);
    else if (kind === 3) plan.stops.reverse();
    else for (const stop of plan.stops) stop.trackM = (stop.trackM + 50) as typeof stop.trackM;
  });
  await change(id, `edit ${i}`, changesBetween(before, after));
}
