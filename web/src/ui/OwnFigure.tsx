/** A figure of the document that may be missing: typed where it stands, emptied to take it away. */
import { useId, useState, type KeyboardEvent } from "react";
import type { Units } from "@gepack/core";
import { shownField } from "../edit/fields.ts";
import { useTyped } from "./useTyped.ts";
import { figure, parsePlain, parseQuantity } from "../units/quantity.ts";

interface Props {
  path: string;
  label: string;
  value: number | undefined;
  units: Units;
  onCommit: (value: number | undefined) => void;
}

export function OwnFigure({ path, label, value, units, onCommit }: Props) {
  const { min, max, kind, suffix, digits, times } = shownField(path);
  const id = useId();
  const shown =
    value === undefined
      ? ""
      : kind
        ? figure(kind, value, units, 1).replace(/\.0$/, "")
        : String(Number((value * times).toFixed(digits)));
  const { text, type, rest } = useTyped(shown);
  const [error, setError] = useState<string>();
  const commit = (): void => {
    setError(undefined);
    if (text === shown) return rest();
    if (text.trim() === "") {
      rest("");
      return onCommit(undefined);
    }
    const parsed = kind ? parseQuantity(kind, text, units) : parsePlain(text, suffix);
    if ("error" in parsed) return setError(parsed.error);
    if (parsed.value < min || parsed.value > max) return setError(`${min} to ${max} is allowed.`);
    rest(text);
    onCommit(kind ? parsed.value : parsed.value / times);
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.key === "Enter") commit();
    if (event.key !== "Escape") return;
    setError(undefined);
    rest();
  };
  return (
    <span className="inline-block">
      <input
        className="field min-h-[24px]! w-[56px] px-1! py-0! text-right text-sm!"
        aria-label={label}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        placeholder="–"
        value={text}
        onChange={(event) => type(event.target.value)}
        onBlur={commit}
        onKeyDown={keys}
      />
      {error !== undefined && (
        <span id={`${id}-error`} role="alert" className="block text-xs text-danger">
          {error}
        </span>
      )}
    </span>
  );
}
