/** Where a hiker's own measured figures of a question are given and taken back. */
import type { Hiker, Question, SchoolFigures, Units } from "@gepack/core";
import { OptionalNumber } from "../../components/OptionalNumber.tsx";
import { MEASURED } from "./measuredFields.ts";

interface Props {
  question: Question;
  hiker: Hiker;
  units: Units;
  figures: (id: string) => SchoolFigures | undefined;
  change: (label: string, recipe: (hiker: Hiker) => void) => void;
}

export function Measured({ question, hiker, units, figures, change }: Props) {
  const fields = MEASURED[question]?.filter(({ when }) => when?.(hiker) ?? true) ?? [];
  if (fields.length === 0) return null;
  return (
    <div className="flex flex-wrap items-end gap-3">
      {fields.map((field) => (
        <OptionalNumber
          key={`${hiker.id} ${field.label}`}
          {...field}
          value={field.get(hiker)}
          start={field.start(figures)}
          units={units}
          onChange={(value) => change(field.label.toLowerCase(), (target) => field.set(target, value))}
        />
      ))}
    </div>
  );
}
