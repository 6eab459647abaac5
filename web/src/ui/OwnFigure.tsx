/** A figure of the document that may be missing: typed where it stands, emptied to take it away. */
import type { Units } from "@gepack/core";
import { shownField } from "../edit/fields.ts";
import { boundsWords, figure, parsePlain, parseQuantity, rounded, unitSymbol } from "../units/quantity.ts";
import { TypedText, type Read } from "./TypedText.tsx";

interface Props {
  /** Of the document's schema, as `climate.readings.lowC`. */
  path: string;
  label: string;
  value: number | undefined;
  units: Units;
  /** Why a figure within its bounds is refused all the same. */
  refuse?: (value: number) => string | undefined;
  onCommit: (value: number | undefined) => void;
}

export function OwnFigure({ path, label, value, units, refuse, onCommit }: Props) {
  const { min, max, kind, suffix, digits, times } = shownField(path);
  const show = (inside: number | undefined): string => {
    if (inside === undefined) return "";
    return kind ? figure(kind, inside, units, 1).replace(/\.0$/, "") : String(rounded(inside * times, digits));
  };
  const read = (text: string): Read<number | undefined> => {
    if (text.trim() === "") return { value: undefined };
    const parsed = kind ? parseQuantity(kind, text, units) : parsePlain(text, suffix);
    if ("error" in parsed) return parsed;
    const inside = kind ? parsed.value : parsed.value / times;
    const within = inside * times >= min && inside * times <= max;
    if (!within)
      return { error: boundsWords(show(min / times), show(max / times), kind ? unitSymbol(kind, units) : suffix) };
    const why = refuse?.(inside);
    return why === undefined ? { value: inside } : { error: why };
  };
  return (
    <TypedText
      bare
      label={label}
      className="w-[56px] text-right"
      placeholder="–"
      shown={show(value)}
      read={read}
      show={show}
      onCommit={onCommit}
    />
  );
}
