/** A number typed where it stands, with units understood. Wrong text says why and changes nothing. */
import { type KeyboardEvent, useId, useState } from "react";
import type { Units } from "@gepack/core";
import { useTyped } from "./useTyped.ts";
import {
  boundsWords,
  figure,
  fixed,
  parsePlain,
  parseQuantity,
  quantity,
  type QuantityKind,
  rounded,
  twoReadings,
  unitSymbol,
} from "../units/quantity.ts";

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
    kind ? figure(kind, inside, units, digits) : String(rounded(inside, digits ?? 2));
  const [error, setError] = useState<string>();
  /** Two readings of what was typed, both allowed. */
  const [readings, setReadings] = useState<readonly number[]>([]);
  const id = useId();
  const shown = show(value);
  const { text, type, rest } = useTyped(shown);

  const give = (up?: string): void => {
    rest(up);
    setError(undefined);
    setReadings([]);
  };
  const take = (taken: number): void => {
    give(show(taken));
    onCommit(taken);
  };
  const inWords = (one: number): string => {
    const outside = kind ? Number(figure(kind, one, units, 3).replaceAll(",", "").replace("−", "-")) : one;
    const places = Number.isInteger(outside) ? 0 : (outside * 10) % 1 === 0 ? 1 : 3;
    return kind ? quantity(kind, one, units, places) : `${fixed(one, places)} ${suffix ?? ""}`;
  };
  const whole = kind ? !figure(kind, 0, units, digits).includes(".") : digits === 0;
  const commit = (): void => {
    if (text === shown) return give();
    const parsed = kind ? parseQuantity(kind, text, units) : parsePlain(text, suffix);
    if ("error" in parsed) return setError(parsed.error);
    const fitting = [parsed.value, parsed.or].filter(
      (one) => one !== undefined && one >= min && one <= max,
    ) as number[];
    const [first, second] = fitting;
    if (first === undefined) {
      const [least, most] = [min, max].map((one) => (kind ? figure(kind, one, units) : String(one)));
      return setError(boundsWords(least!, most!, kind ? unitSymbol(kind, units) : suffix));
    }
    // Where the field itself would write the thousands so, it is meant so.
    if (second !== undefined && !(whole && first > second)) {
      setReadings([first, second]);
      return setError(twoReadings(text));
    }
    take(first);
  };
  const keys = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") give();
  };
  return (
    <span className={`relative inline-flex flex-col ${className ?? ""}`}>
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
          onChange={(event) => {
            type(event.target.value);
            setReadings([]);
          }}
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
        <span
          id={`${id}-error`}
          role="alert"
          className={`text-left text-xs leading-normal whitespace-normal text-danger ${bare ? "absolute top-full right-0 z-20 w-max max-w-[190px] rounded border border-danger bg-sheet p-1.5" : "max-w-[240px]"}`}
        >
          {error}
          {readings.map((one) => (
            <button
              key={one}
              type="button"
              className="btn mt-1 mr-1 min-h-[24px]! px-1.5! py-0! text-xs!"
              onClick={() => take(one)}
            >
              {inWords(one)}
            </button>
          ))}
        </span>
      )}
    </span>
  );
}
