/** A figure that may be unknown: emptied for none, with what was planned standing in it in grey. Large, for a thumb. */
import { useId, useState } from "react";
import type { Units } from "@gepack/core";
import { shownField } from "../edit/fields.ts";
import { boundsWords, figure, fixed, parsePlain, parseQuantity, unitSymbol } from "../units/quantity.ts";
import { useTyped } from "./useTyped.ts";

interface Props {
  /** Of the document's schema, as `log.walkedH`. */
  path: string;
  label: string;
  value: number | undefined;
  planned?: number | undefined;
  units: Units;
  /** The label stands elsewhere on the screen. */
  bare?: boolean;
  onCommit: (value: number | undefined) => void;
}

export function BlankNumber({ path, label, value, planned, units, bare, onCommit }: Props) {
  const id = useId();
  const { min, max, kind, suffix, digits, times } = shownField(path);
  const show = (one: number | undefined): string => {
    if (one === undefined || !Number.isFinite(one)) return "";
    return kind === undefined ? fixed(one * times, digits) : figure(kind, one, units);
  };
  const shown = show(value);
  const { text, type, rest } = useTyped(shown);
  const [error, setError] = useState<string>();
  const unit = kind === undefined ? suffix : unitSymbol(kind, units);
  const commit = (): void => {
    if (text.trim() === "") {
      setError(undefined);
      rest("");
      if (value !== undefined) onCommit(undefined);
      return;
    }
    if (text === shown) return rest();
    const read = kind === undefined ? parsePlain(text, suffix) : parseQuantity(kind, text, units);
    if ("error" in read) return setError(read.error);
    if (read.value < min || read.value > max) return setError(boundsWords(show(min / times), show(max / times), unit));
    setError(undefined);
    const inside = kind === undefined ? read.value / times : read.value;
    rest(show(inside));
    onCommit(inside);
  };
  return (
    <span className="grid">
      <label htmlFor={id} className={bare ? "sr-only" : "text-xs text-muted"}>
        {label}
        {unit && `, ${unit}`}
      </label>
      <input
        id={id}
        className="field min-h-[44px] text-lg font-bold"
        inputMode="decimal"
        value={text}
        placeholder={planned !== undefined ? show(planned) : bare ? unit : ""}
        aria-invalid={error !== undefined}
        aria-describedby={error === undefined ? undefined : `${id}-error`}
        onChange={(event) => {
          type(event.target.value);
          setError(undefined);
        }}
        onBlur={commit}
        onKeyDown={(event) => event.key === "Enter" && commit()}
      />
      {error !== undefined && (
        <span id={`${id}-error`} role="alert" className="text-xs text-danger">
          {error}
        </span>
      )}
    </span>
  );
}
