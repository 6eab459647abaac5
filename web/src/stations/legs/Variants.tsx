/** Variants of the trip: kept, named, compared where they differ, and parts of one taken over into another. */
import { useEffect, useState } from "react";
import type { Plan } from "@gepack/core";
import { tripIdOf, watchVariants, type Variant, type WithSteps } from "../../data/plans.ts";
import { report } from "../../store/notices.ts";
import { selectPlan } from "../../store/selection.ts";
import { dropVariant, keepNow, putBack, renameVariant, variantName } from "../../edit/variants.ts";
import { NameField, readName } from "../../ui/NameField.tsx";
import type { ScreenProps } from "../Screen.tsx";
import { ComparedVariants } from "./ComparedVariants.tsx";
import { useDraft } from "../../store/drafts.ts";

/** Beside the opened one. */
const MOST_OTHERS = 2;
export function Variants({ plan, who }: ScreenProps & { who: number }) {
  const variants = useVariants(plan);
  const [name, setName] = useState("");
  useDraft(name !== "");
  const [fault, setFault] = useState<string>();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [gone, setGone] = useState<WithSteps>();
  const others = variants.filter(({ id }) => id !== plan.id && chosen.includes(id));
  const keep = (): void => {
    const called = readName(name || `Variant ${variants.length + 1}`);
    if ("error" in called) return setFault(called.error);
    void keepNow(called.value).then((kept) => kept && setName(""));
  };
  return (
    <div className="px-[18px] py-2 text-sm" data-testid="variants">
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <label className="flex items-center gap-2 font-semibold">
          Save the current plan as
          <input
            className="field w-[200px]! font-normal"
            value={name}
            placeholder={`Variant ${variants.length + 1}`}
            aria-invalid={fault !== undefined}
            onChange={(event) => {
              setName(event.target.value);
              setFault(undefined);
            }}
          />
        </label>
        {fault && (
          <span role="alert" className="order-last w-full text-danger">
            {fault}
          </span>
        )}
        <button className="btn btn-strong">Save as variant</button>
      </form>
      <ul className="m-0 mt-2 grid list-none gap-1 p-0" aria-label="Variants of this trip">
        {variants.map((variant) => (
          <VariantRow
            key={variant.id}
            variant={variant}
            isOpen={variant.id === plan.id}
            isRoot={variant.id === tripIdOf(plan)}
            isChosen={chosen.includes(variant.id)}
            canChoose={others.length < MOST_OTHERS}
            onChoose={(yes) => setChosen(yes ? [...chosen, variant.id] : chosen.filter((id) => id !== variant.id))}
            onDrop={() => void dropVariant(variant.id).then(setGone)}
          />
        ))}
      </ul>
      {gone && (
        <p role="status" className="m-0 mt-2 flex flex-wrap items-center gap-3">
          {variantName(gone.doc)} was deleted.
          <button
            className="btn"
            onClick={() => {
              void putBack(gone);
              setGone(undefined);
            }}
          >
            Undo
          </button>
        </p>
      )}
      {variants.length < 2 && (
        <p className="m-0 mt-2 max-w-[80ch] text-muted">
          A variant is another version of the same trip: same track and pantry, with its own stops, kit and dates. Save
          one, change the plan, and compare both here.
        </p>
      )}
      {others.length > 0 && <ComparedVariants plan={plan} who={who} others={others.map(({ doc }) => doc)} />}
    </div>
  );
}

function useVariants(plan: Plan): readonly Variant[] {
  const [variants, setVariants] = useState<readonly Variant[]>([]);
  const tripId = tripIdOf(plan);
  useEffect(() => {
    const watch = watchVariants(tripId, setVariants, report);
    return () => watch.unsubscribe();
  }, [tripId]);
  return variants;
}

interface RowProps {
  variant: Variant;
  isOpen: boolean;
  isRoot: boolean;
  isChosen: boolean;
  canChoose: boolean;
  onChoose: (yes: boolean) => void;
  onDrop: () => void;
}

function VariantRow({ variant, isOpen, isRoot, isChosen, canChoose, onChoose, onDrop }: RowProps) {
  const [naming, setNaming] = useState(false);
  const called = variantName(variant.doc);
  return (
    <li className={`flex flex-wrap items-center gap-2 rounded px-2 py-1 ${isOpen ? "bg-pine-wash" : ""}`}>
      <label className="flex min-w-[180px] items-center gap-2">
        <input
          type="checkbox"
          aria-label={`Compare with ${called}`}
          checked={isChosen && !isOpen}
          disabled={isOpen || (!isChosen && !canChoose)}
          onChange={(event) => onChoose(event.target.checked)}
        />
        {naming ? (
          <NameField
            bare
            label="Name of the variant"
            value={called}
            onCommit={(name) => void renameVariant(variant, name)}
            onDone={() => setNaming(false)}
          />
        ) : (
          <b>{called}</b>
        )}
      </label>
      <span className="text-muted">
        {isOpen ? "opened" : `changed ${new Date(variant.updatedAt).toLocaleDateString("en-GB")}`}
      </span>
      {!isOpen && (
        <button className="btn min-h-[24px]! px-2! py-0!" onClick={() => selectPlan(variant.id)}>
          Open {called}
        </button>
      )}
      <button className="btn min-h-[24px]! px-2! py-0!" aria-label={`Rename ${called}`} onClick={() => setNaming(true)}>
        Rename
      </button>
      {!isOpen && !isRoot && (
        <button className="btn min-h-[24px]! px-2! py-0!" aria-label={`Delete ${called}`} onClick={onDrop}>
          Delete
        </button>
      )}
    </li>
  );
}
