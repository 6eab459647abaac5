/** Rows of numbers that live in the document: where, what they are called, what is allowed. */
import type { ReactNode } from "react";
import type { Units } from "@gepack/core";
import { NumberField } from "../../components/NumberField.tsx";
import type { QuantityKind } from "../../units/quantity.ts";

export function Section({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="m-0 mb-2 text-lg font-bold">{title}</h2>
      {note && <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">{note}</p>}
      <div className="grid grid-cols-[repeat(auto-fill,minmax(172px,1fr))] items-start gap-x-5 gap-y-3">{children}</div>
    </section>
  );
}

/** A figure of a record: where it lives in the document, what it is called, what is allowed. */
export interface Row {
  path: string;
  label: string;
  min: number;
  max: number;
  kind?: QuantityKind;
  suffix?: string;
  digits?: number;
  /** Shown in percent, kept as a fraction. */
  percent?: boolean;
}

export const measured = (path: string, label: string, kind: QuantityKind, min: number, max: number): Row => ({
  path,
  label,
  kind,
  min,
  max,
});
export const counted = (path: string, label: string, suffix: string, min: number, max: number, digits = 0): Row => ({
  path,
  label,
  suffix,
  min,
  max,
  digits,
});
export const percent = (path: string, label: string, min: number, max: number): Row => ({
  path,
  label,
  suffix: "%",
  min,
  max,
  digits: 0,
  percent: true,
});

/** The record that holds the last key of a path, and that key. */
function place(record: object, path: string): [Record<string, unknown>, string] {
  const keys = path.split(".");
  const last = keys.pop()!;
  return [keys.reduce((inner, key) => inner[key] as Record<string, unknown>, record as Record<string, unknown>), last];
}

interface RowsProps<T extends object> {
  /** Tells fields of one record from those of another. */
  id: string;
  record: T;
  list: Row[];
  units: Units;
  /** One undoable edit of the record in the document. */
  change: (label: string, recipe: (record: T) => void) => void;
}

export function Rows<T extends object>({ id, record, list, units, change }: RowsProps<T>) {
  return list.map(({ path, label, percent: inPercent, ...rest }) => {
    const times = inPercent ? 100 : 1;
    const [inner, key] = place(record, path);
    return (
      <NumberField
        key={`${id} ${path}`}
        label={label}
        value={Number(inner[key]) * times}
        units={units}
        onCommit={(value) =>
          change(label, (target) => {
            const [into, name] = place(target, path);
            into[name] = value / times;
          })
        }
        {...rest}
      />
    );
  });
}
