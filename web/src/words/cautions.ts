/** Cautions and notices that stand in more than one place, each written once. */
export const LOCAL_FIRST = "Local rules and land managers come first; a plan is not a forecast.";
export const WATER_ASK =
  "Sources can be dry and weather figures are averages. Ask at the last stop, and follow local rules and land managers.";
export const CARRIERS_FIRST = "The rules of the airline, the carrier and the countries come first.";
export const LOAD_HURTS = "Loads near the limit hurt knees and judgement.";
export const KEEP_VITAL = "Keep what stops you getting lost, cold, wet or sick from bad water.";
export const TOGETHER = "Everyone walks together: the slower pace and the shorter day count.";
export const RELOAD = "Reload the page; your plan is saved.";
export const IMPORT_FAILED = "Import failed; your plan hasn’t changed.";

/** A file above the limit, in bytes. */
export function tooLargeFile(bytes: number, mostBytes: number): string {
  return `This file is ${Math.round(bytes / 1e6)} MB; the limit is ${mostBytes / 1e6} MB.`;
}
