/** A number typed where it stands, with units understood. Wrong text says why and changes nothing. */
import { type KeyboardEvent, useId, useState } from "react";
import type { Units } from "@gepack/core";
import { useTyped } from "./useTyped.ts";
import { figure, parseQuantity, unitSymbol, type Parsed, type QuantityKind } from "../units/quantity.ts";

interface Props {
  label: string;
  /** Inside units of the kind. */
  value: number;
  kind?: QuantityKind | undefined;
  units: Units;
  min: number;
  max: number;
  digits?: number;
  /** Shown after the field when there is no kind. */
  suffix?: string;
  /** Label and unit stand elsewhere on the screen. */
  bare?: boolean;
  className?: string;
  onCommit: (value: number) => void;
}

export function NumberField({ label, value, kind, units, min, max, digits, suffix, bare, className, onCommit }: Props) {
  const show = (inside: number): string =>
    kind ? figure(kind, inside, units, digits) : String(Number(inside.toFixed(digits ?? 2)));
  const [error, setError] = useState<string>();
  const id = useId();
  const shown = show(value);
  const { text, type, rest } = useTyped(shown);

  const give = (up?: string): void => {
    rest(up);
    setError(undefined);
  };
  const commit = (): void => {
    if (text === shown) return give();
    const parsed: Parsed = kind ? parseQuantity(kind, text, units) : plain(text);
    if ("error" in parsed) return setError(parsed.error);
    if (parsed.value < min || parsed.value > max) {
      const allowed = kind
        ? `${figure(kind, min, units)} to ${figure(kind, max, units)} ${unitSymbol(kind, units)}`
        : `${min} to ${max}`;
      return setError(`Allowed: ${allowed}.`);
    }
    give(show(parsed.value));
    onCommit(parsed.value);
  };
  const keys = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") give();
  };
  return (
    <span className={`inline-flex flex-col ${className ?? ""}`}>
      <label htmlFor={id} className={bare ? "sr-only" : "mb-1 text-sm font-semibold"}>
        {label}
      </label>
      <span className="inline-flex items-center gap-1">
        <input
          id={id}
          type="text"
          inputMode="decimal"
          className={`field figure text-right ${bare ? "min-h-[24px]! px-1! py-0! text-sm!" : ""}`}
          value={text}
          aria-invalid={error !== undefined}
          aria-describedby={error ? `${id}-error` : undefined}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onKeyDown={keys}
        />
        {!bare && (
          <span className="min-w-6 text-sm whitespace-nowrap text-muted">
            {kind ? unitSymbol(kind, units) : suffix}
          </span>
        )}
      </span>
      {error && (
        <span id={`${id}-error`} role="alert" className="max-w-[240px] text-xs text-danger">
          {error}
        </span>
      )}
    </span>
  );
}

function plain(text: string): Parsed {
  const value = Number(text.trim().replace("−", "-").replace(",", "."));
  return text.trim() === "" || !Number.isFinite(value)
    ? { error: `“${text.trim().slice(0, 30)}” is not a number.` }
    : { value };
}
