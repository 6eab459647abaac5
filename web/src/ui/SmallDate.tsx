/** A day of the year, typed where it stands. */
import { format, parseISO } from "date-fns";
import { oneDate } from "../units/date.ts";
import { TypedText, type Read } from "./TypedText.tsx";

interface Props {
  label: string;
  /** As MM-DD. */
  value: string;
  onCommit: (monthDay: string) => void;
}

// Of a leap year, so that 29 February is a day.
const LEAP = "2028-";
const words = (monthDay: string): string => format(parseISO(LEAP + monthDay), "d MMM");

function read(text: string): Read<string> {
  const day = oneDate(text, `${LEAP}01-01`);
  return "error" in day ? day : { value: day.iso.slice(LEAP.length) };
}

export function SmallDate({ label, value, onCommit }: Props) {
  return <TypedText label={label} shown={words(value)} read={read} show={words} onCommit={onCommit} />;
}
