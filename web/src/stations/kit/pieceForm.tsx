/** Fields of the dialog of a piece. */
import { Controller, type Control, type FieldPath } from "react-hook-form";
import type { Modification, Piece, Plan, Span } from "@gepack/core";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { OptionalNumber } from "../../ui/OptionalNumber.tsx";

/** The form's view of a piece: named keys only; unknown ones ride along in the values. */
type Named<T> = { [K in keyof T as string extends K ? never : K]: T[K] };
export type PieceForm = Omit<Named<Piece>, "spans" | "modifications"> & {
  spans: Named<Span>[];
  modifications: Named<Modification>[];
};

/** Of the document's schema: rows of a list have no number there. */
const pathOf = (name: string): string => `kit.${name.replace(/\.\d+/g, "")}`;

interface FormNumberProps {
  control: Control<PieceForm>;
  plan: Plan;
  name: FieldPath<PieceForm>;
  label: string;
}

export function FormNumber({ control, plan, name, label }: FormNumberProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <FieldNumber
          path={pathOf(name)}
          label={label}
          value={Number(field.value ?? 0)}
          units={plan.trip.units}
          onCommit={field.onChange}
        />
      )}
    />
  );
}

interface ChoiceProps extends React.ComponentProps<"select"> {
  label: string;
  options: [string, string][];
}

export function Choice({ label, options, ...rest }: ChoiceProps) {
  return (
    <label className="text-sm font-semibold">
      {label}
      <select className="field mt-1 font-normal" {...rest}>
        {options.map(([value, text]) => (
          <option key={value} value={value}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}

/** One that may be left untold. */
export function FormOptional({ control, plan, name, label, start }: FormNumberProps & { start: number }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <OptionalNumber
          path={pathOf(name)}
          label={label}
          value={field.value as number | undefined}
          start={start}
          units={plan.trip.units}
          take={`Add ${label.toLowerCase()}`}
          drop="Clear"
          onChange={field.onChange}
        />
      )}
    />
  );
}
