/** A figure of your own that may be missing: asked for by a button, dropped by another. */
import type { Units } from "@gepack/core";
import { FieldNumber } from "./FieldNumber.tsx";

interface Props {
  /** Of the document's schema, as `hikers.pace.ownFlatKmh`. */
  path: string;
  label: string;
  value: number | undefined;
  /** What it starts with. */
  start: number;
  units: Units;
  /** What the buttons say. */
  take: string;
  drop: string;
  onChange: (value: number | undefined) => void;
}

export function OptionalNumber({ path, label, value, start, units, take, drop, onChange }: Props) {
  if (value === undefined)
    return (
      <button type="button" className="btn" onClick={() => onChange(Number(start.toPrecision(3)))}>
        {take}
      </button>
    );
  return (
    <span className="inline-flex flex-wrap items-end gap-2">
      <FieldNumber path={path} label={label} value={value} units={units} onCommit={onChange} />
      <button type="button" className="btn" onClick={() => onChange(undefined)}>
        {drop}
      </button>
    </span>
  );
}
