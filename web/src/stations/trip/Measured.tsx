/** Where a hiker's own measured figures of a question are given and taken back. */
import type { Hiker, Question, SchoolFigures, Units } from "@gepack/core";
import { OptionalNumber } from "../../ui/OptionalNumber.tsx";
import { changeHiker } from "../../ui/HikerFields.tsx";
import { MEASURED, measuredValue, setMeasured } from "./measuredFields.ts";

interface Props {
  question: Question;
  hiker: Hiker;
  units: Units;
  figures: (id: string) => SchoolFigures | undefined;
}

export function Measured({ question, hiker, units, figures }: Props) {
  const fields = MEASURED[question]?.filter(({ when }) => when?.(hiker) ?? true) ?? [];
  if (fields.length === 0) return null;
  return (
    <div className="flex flex-wrap items-end gap-3">
      {fields.map((field) => (
        <OptionalNumber
          key={`${hiker.id} ${field.path}`}
          path={`hikers.${field.path}`}
          label={field.label}
          take={field.take}
          drop={field.drop}
          value={measuredValue(hiker, field)}
          start={field.start(figures)}
          units={units}
          onChange={(value) => changeHiker(hiker)(field.label, (target) => setMeasured(target, field, value))}
        />
      ))}
    </div>
  );
}
