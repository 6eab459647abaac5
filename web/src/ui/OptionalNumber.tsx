/** A figure of one's own that may be missing: asked for by a button, given up by another. */
import type { Units } from "@gepack/core";
import { NumberField } from "./NumberField.tsx";

interface Props {
  label: string;
  value: number | undefined;
  /** What it begins with. */
  start: number;
  units: Units;
  suffix: string;
  min: number;
  max: number;
  digits: number;
  /** What the buttons say. */
  take: string;
  drop: string;
  onChange: (value: number | undefined) => void;
}

export function OptionalNumber({ label, value, start, units, suffix, min, max, digits, take, drop, onChange }: Props) {
  if (value === undefined)
    return (
      <button className="btn" onClick={() => onChange(Number(start.toFixed(digits)))}>
        {take}
      </button>
    );
  return (
    <span className="inline-flex flex-wrap items-end gap-2">
      <NumberField
        label={label}
        value={value}
        units={units}
        suffix={suffix}
        min={min}
        max={max}
        digits={digits}
        onCommit={onChange}
      />
      <button className="btn" onClick={() => onChange(undefined)}>
        {drop}
      </button>
    </span>
  );
}
