/** Adds or edits one piece of kit. */
import { zodResolver } from "@hookform/resolvers/zod";
import { Dialog } from "radix-ui";
import { Controller, useFieldArray, useForm, useWatch, type Control, type FieldPath } from "react-hook-form";
import {
  GIVES,
  guessGives,
  MOST_NAME,
  pieceSchema,
  ROLES,
  SPAN_BEGINS,
  SPAN_ENDS,
  walkEnds,
  type Piece,
  type Give,
  type Plan,
} from "@gepack/core";
import { addRow, editRow, removeRows } from "../../edit/rows.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { GIVE_WORDS } from "../../words/kit.ts";
import { ROLE_WORDS, SPAN_WORDS, WEAR_WORDS } from "../../words/spans.ts";
import { OwnedFields } from "./OwnedFields.tsx";
import { Choice, FormNumber, type PieceForm } from "./pieceForm.tsx";
import { Scale } from "./Scale.tsx";
import type { SwapPoint } from "./spans.ts";
import { freshId } from "../../store/made.ts";
import { useDraft } from "../../store/drafts.ts";
import { readName } from "../../ui/NameField.tsx";
import type { Read } from "../../ui/TypedText.tsx";

interface Props {
  plan: Plan;
  points: readonly SwapPoint[];
  /** Undefined for a new piece. */
  piece: Piece | undefined;
  hikerId: string;
  onClose: () => void;
}

export function PieceDialog({ plan, points, piece, hikerId, onClose }: Props) {
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const blank = pieceSchema.parse({
    id: freshId(),
    name: "New item",
    massG: 100,
    ownerId: hikerId,
    carrierId: hikerId,
    spans: [{ fromStopId: firstId, toStopId: lastId }],
  });
  const form = useForm<PieceForm>({
    defaultValues: structuredClone({ modifications: [], ...(piece ?? { ...blank, name: "" }) }) as never,
    resolver: zodResolver(pieceSchema) as never,
  });
  const { control, register, formState } = form;
  // Read while it is drawn, or what is set from beside the fields is not followed.
  const { dirtyFields } = formState;
  useDraft(formState.isDirty);
  const spans = useFieldArray({ control, name: "spans" });
  const role = useWatch({ control, name: "role" });
  const name = useWatch({ control, name: "name" });
  const massG = useWatch({ control, name: "massG" });
  const listedG = useWatch({ control, name: "listedG" });
  const wear = useWatch({ control, name: "wear" });
  const groups = [...new Set(plan.kit.map((row) => row.group))];

  const save = form.handleSubmit(async (filled) => {
    const values = filled as Piece;
    // Only what was changed here is written: what another tab did to the rest stays.
    const isStored = await (piece
      ? editRow("kit", piece.id, `Edit ${values.name}`, (row) => {
          for (const key of Object.keys(dirtyFields) as (keyof Piece)[]) {
            if (values[key] === undefined) delete row[key];
            else Object.assign(row, { [key]: values[key] });
          }
        })
      : addRow("kit", `Add ${values.name}`, values));
    if (isStored) onClose();
  });
  const remove = (): void => {
    if (piece) removeRows("kit", [piece.id], `Remove ${piece.name}`);
    onClose();
  };
  const number = (name: FieldPath<PieceForm>, label: string) => (
    <FormNumber control={control} plan={plan} name={name} label={label} />
  );
  const stopOptions = [
    ...new Set([
      ...points.map((point) => point.id),
      ...form.getValues("spans").flatMap((span) => [span.fromStopId, span.toStopId]),
    ]),
  ];

  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" />
        <Dialog.Content className="dialog max-w-[820px]" aria-describedby={undefined}>
          <Dialog.Title className="mb-3 text-lg font-bold">{piece ? `Edit ${piece.name}` : "Add item"}</Dialog.Title>
          <form
            onSubmit={(event) => {
              // A number that was refused says so beside its field, and is not saved over.
              const refused = event.currentTarget.querySelector<HTMLElement>('input[aria-invalid="true"]');
              if (!refused) return void save(event);
              event.preventDefault();
              refused.focus();
            }}
            noValidate
          >
            <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
              <label className="col-span-2 text-sm font-semibold">
                Name
                <input
                  className="field mt-1 font-normal"
                  {...register("name")}
                  autoFocus
                  aria-invalid={formState.errors.name !== undefined}
                />
                {formState.errors.name && <Fault sentence={faultOf(readName(name))} />}
              </label>
              <label className="col-span-2 text-sm font-semibold">
                Group
                <input
                  className="field mt-1 font-normal"
                  list="kit-groups"
                  {...register("group")}
                  aria-invalid={formState.errors.group !== undefined}
                />
                {formState.errors.group && <Fault sentence={`A group has up to ${MOST_NAME} letters.`} />}
                <datalist id="kit-groups">
                  {groups.map((group) => (
                    <option key={group} value={group} />
                  ))}
                </datalist>
              </label>
              {number("massG", "Weight of one")}
              <Scale
                name={name}
                listedG={listedG ?? massG}
                say={sayIn(plan)}
                onWeighed={(grams) => {
                  const dirty = { shouldDirty: true } as const;
                  form.setValue("listedG", listedG ?? massG, dirty);
                  form.setValue("massG", grams, dirty);
                  form.setValue("measured", true, dirty);
                }}
              />
              {number("quantity", "Quantity")}
              <Choice label="Carried" {...register("wear")} options={Object.entries(WEAR_WORDS)} />
              {number("volumeL", "Packed volume")}
              <Choice
                label="Owner"
                {...register("ownerId")}
                options={plan.hikers.map((hiker) => [hiker.id, hiker.name])}
              />
              <Choice
                label="Carried by"
                {...register("carrierId")}
                options={plan.hikers.map((hiker) => [hiker.id, hiker.name])}
              />
              <Choice
                label="Serves as"
                {...register("role", { setValueAs: (value: string) => value || undefined })}
                options={[
                  ["", "no special role"],
                  ...ROLES.map((value): [string, string] => [value, ROLE_WORDS[value]]),
                ]}
              />
              <label className="flex items-end gap-1.5 pb-1.5 text-sm">
                <input type="checkbox" {...register("measured")} /> I weighed it
              </label>
              <label className="flex items-end gap-1.5 pb-1.5 text-sm">
                <input type="checkbox" {...register("shared")} /> Shared by the party
              </label>
              {(role === "bottle" || role === "hard-canister") && number("capacityL", "Capacity")}
              {role === "shoes" && number("meanLifeM", "A pair lasts, on average")}
              {role === "shoes" && number("wornM", "Distance already walked in them")}
              {wear === "consumable" && number("perDayG", "Used per day")}
              {role === "bag" && number("comfortC", "Comfort rating")}
              {role === "bag" && number("limitC", "Limit rating")}
              {role === "pad" && number("padR", "R-value")}
              {role !== "bag" && role !== "pad" && role !== "bottle" && number("warmthK", "Adds inside the bag")}
            </div>
            <GivesFields control={control} guessed={guessGives(name)} />
            <OwnedFields
              form={form}
              plan={plan}
              role={role}
              wear={wear}
              onModified={(savedG) => {
                const dirty = { shouldDirty: true } as const;
                form.setValue("massG", Math.max(0, massG - savedG), dirty);
                // What was cut off is guessed until it is weighed again.
                form.setValue("measured", false, dirty);
              }}
            />
            <fieldset className="mt-4 border-0 p-0">
              <legend className="mb-1 text-sm font-bold">Where you carry it</legend>
              {spans.fields.map((field, i) => (
                <div
                  key={field.id}
                  className="mb-1.5 grid grid-cols-2 items-end gap-2 sm:grid-cols-[1fr_1fr_1fr_1fr_auto]"
                >
                  <Choice
                    label="From"
                    {...register(`spans.${i}.fromStopId`)}
                    options={stopOptions.map((id) => [id, stopName(plan, id)])}
                  />
                  <Choice
                    label="Gets there"
                    {...register(`spans.${i}.begins`)}
                    options={SPAN_BEGINS.map((value) => [value, SPAN_WORDS[value]])}
                  />
                  <Choice
                    label="Until"
                    {...register(`spans.${i}.toStopId`)}
                    options={stopOptions.map((id) => [id, stopName(plan, id)])}
                  />
                  <Choice
                    label="Then"
                    {...register(`spans.${i}.ends`)}
                    options={SPAN_ENDS.map((value) => [value, SPAN_WORDS[value]])}
                  />
                  <button type="button" className="btn" onClick={() => spans.remove(i)}>
                    Remove
                  </button>
                </div>
              ))}
              <button
                type="button"
                className="btn"
                onClick={() =>
                  spans.append({ fromStopId: firstId, toStopId: lastId, begins: "from-home", ends: "kept" })
                }
              >
                Add a stretch
              </button>
            </fieldset>
            <div className="mt-5 flex justify-end gap-2">
              {piece && (
                <button type="button" className="btn mr-auto text-danger" onClick={remove}>
                  Remove {piece.name}
                </button>
              )}
              <Dialog.Close className="btn">Cancel</Dialog.Close>
              <button type="submit" className="btn btn-strong">
                {piece ? "Save changes" : "Add item"}
              </button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** What it is good for: ticked, or by its name; and whether a search may move it. */
function GivesFields({ control, guessed }: { control: Control<PieceForm>; guessed: readonly Give[] }) {
  return (
    <fieldset className="mt-3 border-0 p-0 text-sm">
      <legend className="mb-1 text-sm font-bold">Covers</legend>
      <Controller
        control={control}
        name="gives"
        render={({ field }) => {
          const ticked: readonly Give[] = field.value ?? guessed;
          return (
            <div className="flex flex-wrap gap-x-4 gap-y-1">
              {GIVES.map((give) => (
                <label key={give} className="flex items-center gap-1.5">
                  <input
                    type="checkbox"
                    checked={ticked.includes(give)}
                    onChange={(event) =>
                      field.onChange(event.target.checked ? [...ticked, give] : ticked.filter((one) => one !== give))
                    }
                  />
                  {GIVE_WORDS[give]}
                </label>
              ))}
              {field.value === undefined && guessed.length > 0 && <span className="text-muted">by its name</span>}
            </div>
          );
        }}
      />
      <Controller
        control={control}
        name="movable"
        render={({ field }) => (
          <label className="mt-2 flex items-center gap-1.5">
            When searching for swaps{" "}
            <select
              className="field w-auto"
              value={field.value === undefined ? "" : String(field.value)}
              onChange={(event) =>
                field.onChange(event.target.value === "" ? undefined : event.target.value === "true")
              }
            >
              <option value="">decide by type</option>
              <option value="true">may move it</option>
              <option value="false">leave it alone</option>
            </select>
          </label>
        )}
      />
    </fieldset>
  );
}

function Fault({ sentence }: { sentence: string | undefined }) {
  return (
    <span role="alert" className="text-xs text-danger">
      {sentence}
    </span>
  );
}

const faultOf = (read: Read<string>): string | undefined => ("error" in read ? read.error : undefined);
