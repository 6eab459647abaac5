/** The trail and its places as files for other programs. */
import { writeGeoJson, writeGpx, writeMileTable, type OpenInput } from "@gepack/core";
import { forOthers } from "../store/document.ts";
import { report } from "../store/notices.ts";
import { save } from "./files.ts";

interface OpenFormat {
  label: string;
  ending: string;
  mimeType: string;
  write: (input: OpenInput) => string;
}

export const OPEN_FORMATS: readonly OpenFormat[] = [
  { label: "Track and places as GPX", ending: "gpx", mimeType: "application/gpx+xml", write: writeGpx },
  { label: "Track and places as GeoJSON", ending: "geojson", mimeType: "application/geo+json", write: writeGeoJson },
  { label: "Mile table as CSV", ending: "csv", mimeType: "text/csv", write: writeMileTable },
];

export async function saveOpenFile({ ending, mimeType, write }: OpenFormat): Promise<void> {
  try {
    const input = await forOthers();
    if (input) save(write(input), input.plan.trip.name, ending, mimeType);
  } catch (error) {
    report(error);
  }
}
