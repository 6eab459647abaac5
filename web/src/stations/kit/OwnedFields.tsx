/** Of a piece in its dialog: what it cost and how it is, where it rides, what was changed on it or could be. */
import { Controller, useFieldArray, type FieldPath, type UseFormReturn } from "react-hook-form";
import { CONDITIONS, RIDES, TRAVELS, type Plan } from "@gepack/core";
import { DateField } from "../../ui/DateField.tsx";
import { TRAVEL_WORDS } from "../../words/boxes.ts";
import { RIDE_WORDS } from "../../words/kit.ts";
import { Choice, FormNumber, FormOptional, type PieceForm } from "./pieceForm.tsx";

interface Props {
  form: UseFormReturn<PieceForm>;
  plan: Plan;
  role: PieceForm["role"];
  wear: PieceForm["wear"];
  /** A change on the piece was made, or taken back: so many grams less. */
  onModified: (savedG: number) => void;
}

const orNothing = { setValueAs: (value: string) => value || undefined };

export function OwnedFields({
  form: { control, register, getValues, formState },
  plan,
  role,
  wear,
  onModified,
}: Props) {
  const changes = useFieldArray({ control, name: "modifications" });
  const number = (name: FieldPath<PieceForm>, label: string, start: number) => (
    <FormOptional control={control} plan={plan} name={name} label={label} start={start} />
  );
  return (
    <details className="mt-3">
      <summary className="cursor-pointer text-sm font-bold">Packing place, price, condition, changes</summary>
      <div className="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Choice
          label="Packed"
          {...register("rides", orNothing)}
          options={[["", "automatic"], ...RIDES.map((ride): [string, string] => [ride, RIDE_WORDS[ride]])]}
        />
        <Choice
          label="Flight and mail"
          {...register("travels", orNothing)}
          options={[["", "guessed"], ...TRAVELS.map((travels): [string, string] => [travels, TRAVEL_WORDS[travels]])]}
        />
        {number("price", `Price${plan.resupply.money === "" ? "" : `, ${plan.resupply.money}`}`, 100)}
        <Controller
          control={control}
          name="boughtOn"
          render={({ field }) => (
            <DateField
              label="Bought on"
              value={field.value ?? ""}
              near={plan.trip.startDate}
              onCommit={(iso) => field.onChange(iso || undefined)}
            />
          )}
        />
        <Choice
          label="Condition"
          {...register("condition", orNothing)}
          options={[["", "not set"], ...CONDITIONS.map((one): [string, string] => [one, one])]}
        />
        {number("comfort", "Comfort, 1 to 5", 3)}
        {number("nightsBefore", "Nights used before", 1)}
        {role !== "shoes" && <FormNumber control={control} plan={plan} name="wornM" label="Distance used before" />}
        {role === "pack" && number("loadLimitKg", "Rated for", 15)}
        {wear === "consumable" && number("emptyG", "Empty tube or bag", 10)}
      </div>
      <label className="mt-3 block text-sm font-semibold">
        Notes
        <textarea className="field mt-1 min-h-[48px] font-normal" maxLength={2000} {...register("notes", orNothing)} />
      </label>
      <fieldset className="mt-2 border-0 p-0">
        <legend className="mb-1 text-sm font-bold">Modifications, done or planned</legend>
        {changes.fields.map((field, i) => (
          <div key={field.id} className="mb-1.5 flex flex-wrap items-end gap-2">
            <label className="text-sm font-semibold">
              What
              <input className="field mt-1 font-normal" maxLength={200} {...register(`modifications.${i}.what`)} />
            </label>
            <FormNumber control={control} plan={plan} name={`modifications.${i}.savedG`} label="Saves" />
            <Controller
              control={control}
              name={`modifications.${i}.done`}
              render={({ field: done }) => (
                <label className="flex items-center gap-1.5 pb-1.5 text-sm">
                  <input
                    type="checkbox"
                    checked={done.value}
                    onChange={(event) => {
                      const savedG = getValues(`modifications.${i}.savedG`);
                      done.onChange(event.target.checked);
                      onModified(event.target.checked ? savedG : -savedG);
                    }}
                  />
                  done
                </label>
              )}
            />
            <button type="button" className="btn" onClick={() => changes.remove(i)}>
              Remove
            </button>
          </div>
        ))}
        {formState.errors.modifications && (
          <p role="alert" className="my-1 text-sm text-danger">
            Describe every modification.
          </p>
        )}
        <button
          type="button"
          className="btn"
          onClick={() => changes.append({ what: "Straps cut short", savedG: 20, done: false })}
        >
          Add a modification
        </button>
      </fieldset>
    </details>
  );
}
