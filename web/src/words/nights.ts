/** Kinds of night as the calendar tells them apart. */
import type { CalendarDay } from "@gepack/core";

export type NightKind = CalendarDay["night"] | "dry";

export const NIGHT_WORDS: Record<NightKind, string> = {
  camp: "camp",
  dry: "dry camp",
  bed: "bed",
  stop: "at the stop",
  end: "finish",
};

export function nightKind({ night, dry }: CalendarDay): NightKind {
  return night === "camp" && dry ? "dry" : night;
}
