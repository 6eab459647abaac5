/** Rules as sentences with their figures to edit in them: a rule reads as one, and a figure stands where it counts. */
import { Fragment } from "react";
import { shownField } from "../edit/fields.ts";
import { unitSymbol } from "../units/quantity.ts";
import { RecordField, type RecordProps } from "./FieldNumber.tsx";

/** A sentence, with the path of a figure in braces where it stands; what each figure is called by itself. */
export interface Sentence {
  text: string;
  labels: Readonly<Record<string, string>>;
}

/** Text and paths of figures in turn; the even ones are text. */
export function sentenceParts(text: string): string[] {
  return text.split(/\{([\w.]+)\}/);
}

interface Props<T extends object> extends RecordProps<T> {
  list: readonly Sentence[];
}

export function Sentences<T extends object>({ list, ...of }: Props<T>) {
  const field = (path: string, label: string) => {
    const { kind, suffix } = shownField(`${of.of}.${path}`);
    return (
      <>
        <RecordField {...of} bare className="w-[58px] align-middle" path={path} label={label} />{" "}
        {kind ? unitSymbol(kind, of.units) : suffix}
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
