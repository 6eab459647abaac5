/** Edits of boxes: the plan makes them, and a row of the document is started with the first thing that is typed of one. */
import { boxSchema, type BoxRow, type PlannedBox } from "@gepack/core";
import { edit } from "../store/document.ts";
import { STEP_WORDS, STEPS, type Step } from "../words/boxes.ts";

type Box = Pick<PlannedBox, "toStopId" | "fromStopId">;

export function changeBox({ toStopId, fromStopId }: Box, label: string, recipe: (row: BoxRow) => void): void {
  void edit(label, ({ boxes }) => {
    const of = (row: Pick<BoxRow, "toStopId" | "fromStopId">): boolean =>
      row.toStopId === toStopId && row.fromStopId === fromStopId;
    if (!boxes.some(of))
      boxes.push(
        boxSchema.parse({ id: crypto.randomUUID(), toStopId, ...(fromStopId === undefined ? {} : { fromStopId }) }),
      );
    recipe(boxes.find(of)!);
  });
}

/** So far, or no further than the step before; a day that was given before stays. */
export function markBox(box: Box, name: string, step: Step, on: string | undefined): void {
  changeBox(box, `Box to ${name}: ${on === undefined ? "not " : ""}${STEP_WORDS[step]}`, (row) => {
    const at = STEPS.indexOf(step);
    if (on === undefined) for (const later of STEPS.slice(at)) delete row[later];
    else {
      for (const earlier of STEPS.slice(0, at)) row[earlier] ??= on;
      row[step] = on;
    }
  });
}
