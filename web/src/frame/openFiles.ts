/** The plan and its trail as files for other programs; what is heavy comes when it is needed. */
import { writeGeoJson, writeGpx, writeMileTable, type OpenInput, type PlanResult } from "@gepack/core";
import { forOthers } from "../store/document.ts";
import { report } from "../store/notices.ts";
import { saveBlob } from "./files.ts";

interface OpenFormat {
  label: string;
  ending: string;
  write: (input: OpenInput & { result: PlanResult }) => Blob | Promise<Blob>;
}

const text = (written: string, type: string): Blob => new Blob([written], { type });

export const OPEN_FORMATS: readonly OpenFormat[] = [
  {
    label: "Workbook of all tables (XLSX)",
    ending: "xlsx",
    write: async ({ plan, result }) => {
      const [{ workbookOf }, { xlsxOf }] = await Promise.all([
        import("../exports/workbook.ts"),
        import("../exports/sheets.ts"),
      ]);
      return xlsxOf(workbookOf(plan, result));
    },
  },
  {
    label: "All tables as CSV (ZIP)",
    ending: "zip",
    write: async ({ plan, result }) => {
      const [{ workbookOf }, { csvBundle }] = await Promise.all([
        import("../exports/workbook.ts"),
        import("../exports/csvBundle.ts"),
      ]);
      return csvBundle(workbookOf(plan, result));
    },
  },
  {
    label: "Calendar of days, boxes and counters (ICS)",
    ending: "ics",
    write: async ({ plan, result }) =>
      text((await import("../exports/calendar.ts")).calendarOf(plan, result), "text/calendar"),
  },
  {
    label: "Track and places as GPX",
    ending: "gpx",
    write: (input) => text(writeGpx(input), "application/gpx+xml"),
  },
  {
    label: "Track and places as GeoJSON",
    ending: "geojson",
    write: (input) => text(writeGeoJson(input), "application/geo+json"),
  },
  { label: "Mile table as CSV", ending: "csv", write: (input) => text(writeMileTable(input), "text/csv") },
];

export async function saveOpenFile({ ending, write }: OpenFormat): Promise<void> {
  try {
    const input = await forOthers();
    if (input) saveBlob(await write(input), input.plan.trip.name, ending);
  } catch (error) {
    report(error);
  }
}
