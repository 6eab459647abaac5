/** Hours of the day as they are typed and told: `9`, `9:30`, `17.5`; several in a row. */
import { parsePlain } from "./quantity.ts";

export type ClockRead<T> = { value: T } | { error: string };

/** `9:30` of hours; 24 is midnight at the end of a day. */
export function clockWords(hours: number): string {
  const minutes = Math.round(hours * 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
}

export function parseClock(text: string): ClockRead<number> {
  const tidy = text
    .trim()
    .replace(/\s*(h|o[’']clock)$/i, "")
    .trim();
  const error = `“${text.trim().slice(0, 20)}” isn’t a time. Type it as 9, 9:30 or 17:00.`;
  const [, hours, minutes] = /^(\d{1,2}):(\d{2})$/.exec(tidy) ?? [];
  if (hours !== undefined) {
    const value = Number(hours) + Number(minutes) / 60;
    return Number(minutes) < 60 && value <= 24 ? { value } : { error };
  }
  const plain = parsePlain(tidy, "");
  return "value" in plain && plain.value >= 0 && plain.value <= 24 ? { value: plain.value } : { error };
}

/** Emptied for none. */
export function parseMaybeClock(text: string): ClockRead<number | undefined> {
  return text.trim() === "" ? { value: undefined } : parseClock(text);
}

/** `8:15, 12:30`; in order, each once. */
export function parseClocks(text: string): ClockRead<number[]> {
  const found: number[] = [];
  for (const part of text.split(/[,;\s]+/).filter((one) => one !== "")) {
    const read = parseClock(part);
    if ("error" in read) return read;
    found.push(read.value);
  }
  return { value: [...new Set(found)].sort((a, b) => a - b) };
}

export const clocksWords = (clocks: readonly number[]): string => clocks.map(clockWords).join(", ");
