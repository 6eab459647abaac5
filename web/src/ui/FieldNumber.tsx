/** Numbers of the document where they stand: a field names its path, the schema says the rest. */
import type { ReactNode } from "react";
import type { Units } from "@gepack/core";
import { placeIn, shownField } from "../edit/fields.ts";
import { NumberField } from "./NumberField.tsx";

interface FieldProps {
  /** Of the document's schema, as `hikers.pace.speedFactor`. */
  path: string;
  label: string;
  value: number;
  units: Units;
  bare?: boolean;
  className?: string;
  onCommit: (value: number) => void;
}

export function FieldNumber({ path, label, value, units, bare, className, onCommit }: FieldProps) {
  const { min, max, kind, suffix, digits, times, whole } = shownField(path);
  return (
    <NumberField
      label={label}
      value={value * times}
      units={units}
      min={min}
      max={max}
      suffix={suffix}
      {...(kind === undefined ? { digits } : { kind })}
      {...(bare ? { bare } : {})}
      {...(className === undefined ? {} : { className })}
      onCommit={(shown) => onCommit(whole ? Math.round(shown) : shown / times)}
    />
  );
}

/** A figure of a record: its path within it, and what it is called. */
export type FieldRow = readonly [path: string, label: string];

/** A record of the document whose figures are edited. */
export interface RecordProps<T extends object> {
  /** Where the record is in the schema: `hikers`, `dayRules`. */
  of: string;
  record: T;
  units: Units;
  /** One undoable edit of the record in the document. */
  change: (label: string, recipe: (record: T) => void) => void;
}

interface RecordFieldProps<T extends object> extends RecordProps<T>, Pick<FieldProps, "label" | "bare" | "className"> {
  /** Within the record. */
  path: string;
}

/** One figure of a record. */
export function RecordField<T extends object>({ of, record, change, path, ...field }: RecordFieldProps<T>) {
  const [inner, key] = placeIn(record, path);
  return (
    <FieldNumber
      {...field}
      path={`${of}.${path}`}
      value={Number(inner[key])}
      onCommit={(value) =>
        change(field.label, (target) => {
          const [into, name] = placeIn(target, path);
          into[name] = value;
        })
      }
    />
  );
}

interface RowsProps<T extends object> extends RecordProps<T> {
  /** Tells fields of one record from those of another. */
  id: string;
  list: readonly FieldRow[];
}

export function FieldRows<T extends object>({ id, list, ...of }: RowsProps<T>) {
  return list.map(([path, label]) => <RecordField key={`${id} ${path}`} {...of} path={path} label={label} />);
}

/** Settings in even columns. */
export function Fields({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="m-0 mb-2 text-lg font-bold">{title}</h2>
      {note && <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">{note}</p>}
      <div className="grid grid-cols-[repeat(auto-fill,minmax(172px,1fr))] items-start gap-x-5 gap-y-3">{children}</div>
    </section>
  );
}
