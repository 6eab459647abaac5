/** Edits of the choice of stops. */
import { takeSet, type Plan, type SetStop, type Stop } from "@gepack/core";
import { edit } from "../store/document.ts";
import { counted } from "../words/counted.ts";
import { editRow } from "./rows.ts";

/** A set that was found: its stops used, the other candidates skipped, in one step. */
export function takeStops(name: string, candidates: readonly string[], stops: readonly SetStop[]): void {
  void edit(`Stops: ${name.toLowerCase()}`, (draft) => takeSet((draft as Plan).stops, candidates, stops));
}

export interface StopsChange {
  /** Offered beside what is. */
  offers?: Stop["services"][number];
  use?: boolean;
}

/** Many stops, in one step. */
export function changeStops(ids: readonly string[], { offers, use }: StopsChange): void {
  const meant = new Set(ids);
  void edit(`Change ${counted(ids.length, "stop")}`, (draft) => {
    for (const stop of (draft as Plan).stops) {
      if (!meant.has(stop.id)) continue;
      if (offers !== undefined && !stop.services.includes(offers)) stop.services.push(offers);
      if (use !== undefined) setUse(stop, use);
    }
  });
}

function setUse(stop: Stop, use: boolean): void {
  stop.use = use;
  if (use && stop.nights === 0) stop.nights = 1;
}

/** A stop that was passed through in no time is given a night when it is used. */
export function chooseStop({ id, name }: Pick<Stop, "id" | "name">, use: boolean): void {
  editRow("stops", id, `${use ? "Use" : "Skip"} ${name}`, (stop) => setUse(stop, use));
}
