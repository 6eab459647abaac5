/** Edits of boxes: the plan makes them, and a row of the document is started with the first thing that is typed of one. */
import { boxRowOf, boxSchema, type BoxRow, type Plan, type PlannedBox } from "@gepack/core";
import { edit } from "../store/document.ts";
import { STEP_WORDS, STEPS, type Step } from "../words/boxes.ts";
import { editPart } from "./rows.ts";
import { type Made } from "../store/made.ts";

/** An id has so many letters; of a longer key the end is told by its sum, or two of them would be one. */
const MOST_ID = 80;
const SUM_LETTERS = 8;

function idOf(key: string): string {
  const id = `box-${key.replaceAll(" ", "-")}`;
  if (id.length <= MOST_ID) return id;
  // FNV-1a, 32 bits.
  const sum = [...key].reduce((hash, letter) => Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193), 0x811c9dc5);
  return id.slice(0, MOST_ID - SUM_LETTERS) + (sum >>> 0).toString(16).padStart(SUM_LETTERS, "0");
}

type Box = Pick<PlannedBox, "key" | "toStopId" | "fromStopId" | "bounce">;

export function changeBox(box: Box, label: string, recipe: (row: BoxRow, made: Made) => void): Promise<boolean> {
  const { key, toStopId, fromStopId, bounce } = box;
  return edit(label, ({ boxes }, made) => {
    if (!boxRowOf(boxes, box))
      // The same from two tabs: one row for one box.
      boxes.push(
        boxSchema.parse({
          id: idOf(key),
          toStopId,
          ...(fromStopId === undefined ? {} : { fromStopId }),
          ...(bounce ? { bounce } : {}),
        }),
      );
    recipe(boxRowOf(boxes, box)!, made);
  });
}

/** So far, or no further than the step before; a day that was given before stays. */
export function markBox(box: Box, name: string, step: Step, on: string | undefined): void {
  void changeBox(box, `Box to ${name}: ${on === undefined ? "not " : ""}${STEP_WORDS[step]}`, (row) => {
    const at = STEPS.indexOf(step);
    if (on === undefined) for (const later of STEPS.slice(at)) delete row[later];
    else {
      for (const earlier of STEPS.slice(0, at)) row[earlier] ??= on;
      row[step] = on;
    }
  });
}

type PostageRow = Plan["resupply"]["postage"][number];

export function setPostage(id: string, key: "toKg" | "price", value: number): void {
  editPart("resupply", "Postage", ({ postage }) => {
    const row = postage.find((one) => one.id === id);
    if (row) row[key] = value;
  });
}

export function removePostage(id: string): void {
  editPart("resupply", "Postage: remove a row", (resupply) => {
    resupply.postage = resupply.postage.filter((row) => row.id !== id);
  });
}

/** For parcels twice as heavy as the last. */
export function addPostage(): void {
  editPart("resupply", "Postage: add a row", ({ postage }, { newId }) => {
    const last: PostageRow | undefined = postage.at(-1);
    postage.push({ id: newId(), toKg: Math.min(50, last ? last.toKg * 2 : 2), price: last ? last.price + 4 : 8 });
  });
}
