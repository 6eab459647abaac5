/** Edits of the choice of stops. */
import { takeSet, type Plan, type SetStop, type Stop } from "@gepack/core";
import { edit } from "../store/document.ts";
import { editRow } from "./rows.ts";

/** A set that was found: its stops used, the other candidates passed by, in one step. */
export function takeStops(name: string, candidates: readonly string[], stops: readonly SetStop[]): void {
  void edit(`Stops: ${name.toLowerCase()}`, (draft) => takeSet((draft as Plan).stops, candidates, stops));
}

/** A stop that was passed through in no time is given a night when it is used. */
export function chooseStop({ id, name }: Pick<Stop, "id" | "name">, use: boolean): void {
  editRow("stops", id, `${name}: ${use ? "use it" : "pass it by"}`, (stop) => {
    stop.use = use;
    if (use && stop.nights === 0) stop.nights = 1;
  });
}
