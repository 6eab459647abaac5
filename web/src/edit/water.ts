/** Edits of sources: counted on or struck out, what was seen there, caches. */
import type { Plan, ReadReport, Source } from "@gepack/core";
import { edit } from "../store/document.ts";
import { addRow, editRow } from "./rows.ts";
import { freshId } from "../store/made.ts";

/** Struck out, counted on whatever the school of trust says, or left to it. */
export function judge({ id, name }: Source, counted: boolean | undefined): void {
  const words = counted === undefined ? "use its likelihood" : counted ? "counted on" : "ignored";
  editRow("sources", id, `${name}: ${words}`, (row) => {
    if (counted === undefined) delete row.counted;
    else row.counted = counted;
  });
}

export function report({ id, name }: Source, row: Source["reports"][number]): void {
  editRow("sources", id, `${name}: ${row.said} on ${row.date}`, (source) => void source.reports.push(row));
}

export function removeReport({ id, name }: Source, reportId: string): void {
  editRow("sources", id, `${name}: report removed`, (row) => {
    row.reports = row.reports.filter((report) => report.id !== reportId);
  });
}

/** Reports of many sources in one step; what was given before is given once. */
export function takeReports(read: readonly ReadReport[]): Promise<boolean> {
  return edit(`Add ${read.length} water reports`, (draft, { newId }) => {
    for (const { sourceId, ...row } of read) {
      const source = (draft as Plan).sources.find(({ id }) => id === sourceId);
      const known = source?.reports.some(({ date, said }) => date === row.date && said === row.said);
      if (source && !known) source.reports.push({ ...row, id: newId() });
    }
  });
}

/** Water laid by oneself, there from a day on. */
export function addCache(place: Pick<Source, "trackM" | "alternateId">, placedOn: string): void {
  addRow("sources", "Add a cache", {
    id: `source-${freshId()}`,
    name: "Cache",
    kind: "cache",
    contaminated: false,
    reliable: false,
    chanceByMonth: Array.from({ length: 12 }, () => 0.8),
    offTrailM: 0,
    reports: [],
    placedOn,
    litres: 6,
    ...place,
  });
}
