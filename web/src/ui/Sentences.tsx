/** Rules as sentences with their figures to edit in them: a rule reads as one, and a figure stands where it counts. */
import { Fragment } from "react";
import type { Units } from "@gepack/core";
import { placeIn, shownField } from "../edit/fields.ts";
import { unitSymbol } from "../units/quantity.ts";
import { FieldNumber } from "./FieldNumber.tsx";

/** A sentence, with the path of a figure in braces where it stands; what each figure is called by itself. */
export interface Sentence {
  text: string;
  labels: Readonly<Record<string, string>>;
}

/** Text and paths of figures in turn; the even ones are text. */
export function sentenceParts(text: string): string[] {
  return text.split(/\{([\w.]+)\}/);
}

interface Props<T extends object> {
  /** Where the record lies in the schema: `dayRules`. */
  of: string;
  record: T;
  list: readonly Sentence[];
  units: Units;
  /** One undoable edit of the record in the document. */
  change: (label: string, recipe: (record: T) => void) => void;
}

export function Sentences<T extends object>({ of, record, list, units, change }: Props<T>) {
  const field = (path: string, label: string) => {
    const [inner, key] = placeIn(record, path);
    const { kind, suffix } = shownField(`${of}.${path}`);
    return (
      <>
        <FieldNumber
          bare
          className="w-[58px] align-middle"
          path={`${of}.${path}`}
          label={label}
          value={Number(inner[key])}
          units={units}
          onCommit={(value) =>
            change(label, (target) => {
              const [into, name] = placeIn(target, path);
              into[name] = value;
            })
          }
        />{" "}
        {kind ? unitSymbol(kind, units) : suffix}
      </>
    );
  };
  return (
    <ul className="m-0 list-none p-0">
      {list.map(({ text, labels }) => (
        <li key={text} className="max-w-[72ch] text-sm leading-[30px]">
          {sentenceParts(text).map((part, i) => (
            <Fragment key={i}>{i % 2 === 0 ? part : field(part, labels[part]!)}</Fragment>
          ))}
        </li>
      ))}
    </ul>
  );
}
