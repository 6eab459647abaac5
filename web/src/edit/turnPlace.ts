/** A place that was taken for another kind: turned into it where it is, with its name and what was written of it. */
import {
  campSchema,
  nearestUsedStop,
  removeRow,
  sourceSchema,
  stopSchema,
  stretchSchema,
  type Plan,
  type TrackM,
} from "@gepack/core";
import { edit } from "../store/document.ts";

export const TURNED = ["stops", "sources", "camps", "stretches"] as const;
export type Turned = (typeof TURNED)[number];

export const TURNED_WORDS: Record<Turned, string> = {
  stops: "stop",
  sources: "water",
  camps: "camp",
  stretches: "hazard",
};

/** A hazard reaches from so far before its place to so far behind. */
const HAZARD_M = 300;

/** The row of the other kind; services, reports and rules of the one before are not the other's. */
function rowAs(to: Turned, row: Plan[Turned][number], id: string) {
  const { name, alternateId, note = "" } = row;
  const middle = "fromM" in row ? (Number(row.fromM) + Number(row.toM)) / 2 : Number(row.trackM);
  const trackM = Math.round(middle) as TrackM;
  const { lonDeg, latDeg, offTrailM } = row as Partial<Record<"lonDeg" | "latDeg" | "offTrailM", number>>;
  const words = {
    id,
    name: name.trim() === "" ? TURNED_WORDS[to] : name,
    ...(alternateId === undefined ? {} : { alternateId }),
    ...(note === "" ? {} : { note }),
  };
  const at = { ...words, trackM, ...(lonDeg === undefined || latDeg === undefined ? {} : { lonDeg, latDeg }) };
  if (to === "camps") return campSchema.parse(at);
  if (to === "stops") return stopSchema.parse({ ...at, offTrailM, services: [] });
  if (to === "sources") return sourceSchema.parse({ ...at, offTrailM: Math.min(offTrailM ?? 0, 20_000) });
  return stretchSchema.parse({
    ...words,
    kind: "hazard",
    fromM: Math.max(0, middle - HAZARD_M),
    toM: middle + HAZARD_M,
  });
}

export function turnPlace(from: Turned, id: string, name: string, to: Turned): Promise<boolean> {
  return edit(`Make ${name} a ${TURNED_WORDS[to]}`, (draft, { newId }) => {
    const plan = draft as Plan;
    const row = (plan[from] as Plan[Turned][number][]).find((one) => one.id === id);
    if (!row || from === to) return;
    const next = rowAs(to, row, newId());
    removeRow(plan, from, id, from === "stops" ? nearestUsedStop(plan, id) : undefined);
    (plan[to] as unknown[]).push(next);
  });
}
