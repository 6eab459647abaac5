import { firstName } from "../words/names.ts";
import { ToggleGroup } from "radix-ui";
import { CircleHelp, Redo2, Search, Undo2 } from "lucide-react";
import { undoRedo } from "../store/document.ts";
import { useDocument, type DocumentState } from "../store/documentState.ts";
import { help } from "../store/helping.ts";
import { select, useSelection } from "../store/selection.ts";
import { longDate, spanWords } from "../units/date.ts";
import { FileMenu } from "./FileMenu.tsx";

/** What is true of the plan at this moment, and nothing more. */
function whereKept({ computing, kept, storing }: Pick<DocumentState, "computing" | "kept" | "storing">): string {
  if (computing) return "Calculating…";
  if (!kept) return "Not saved: this tab only";
  return storing ? "Saving…" : "Saved on this device";
}

/** The plan, whose pack, undo, files. */
export function TopBar() {
  const { plan, result, undoLabel, redoLabel, computing, kept, storing } = useDocument();
  const hikerIndex = useSelection((state) => state.hikerIndex);
  return (
    <header data-chrome className="flex flex-wrap items-center gap-x-4 gap-y-1 bg-bar px-[18px] py-1.5 text-on-bar">
      <a
        href="/"
        className="font-[family-name:var(--font-figure)] text-lg font-extrabold text-inherit no-underline [font-stretch:115%]"
      >
        Gepack
      </a>
      {plan && (
        <>
          <h1 className="m-0 text-base font-semibold">
            {plan.trip.name}
            {plan.trip.variantName && <span className="font-normal">, {plan.trip.variantName}</span>}
          </h1>
          <span className="text-sm text-bar-muted">
            {plan.trip.fictional && "fictional · "}
            {plan.trip.directionName && <span className="max-[480px]:hidden">{plan.trip.directionName} · </span>}
            {result
              ? spanWords(plan.trip.startDate, result.finishDate, new Date().getFullYear())
              : longDate(plan.trip.startDate)}
          </span>
          {plan.hikers.length > 1 && (
            <ToggleGroup.Root
              type="single"
              value={String(hikerIndex)}
              onValueChange={(value) => value !== "" && select({ hikerIndex: Number(value) })}
              aria-label="Whose pack"
              className="flex overflow-hidden rounded border border-bar-rule max-[480px]:order-1"
            >
              {plan.hikers.map((hiker, i) => (
                <ToggleGroup.Item
                  key={hiker.id}
                  value={String(i)}
                  className="px-2.5 py-1 text-sm data-[state=on]:bg-on-bar data-[state=on]:font-bold data-[state=on]:text-bar"
                >
                  {firstName(hiker)}
                </ToggleGroup.Item>
              ))}
            </ToggleGroup.Root>
          )}
        </>
      )}
      <span className="ml-auto text-sm text-bar-muted" role="status">
        {plan && whereKept({ computing, kept, storing })}
      </span>
      <div className="flex gap-1 max-[480px]:order-1 max-[480px]:ml-auto">
        <button
          className="bar-button"
          disabled={!undoLabel}
          onClick={() => void undoRedo("undo")}
          data-repeats
          title={undoLabel ? `Undo: ${undoLabel} (Ctrl Z)` : "Nothing to undo"}
        >
          <Undo2 size={15} aria-hidden="true" /> <span className="max-[480px]:sr-only">Undo</span>
        </button>
        <button
          className="bar-button"
          disabled={!redoLabel}
          onClick={() => void undoRedo("redo")}
          data-repeats
          title={redoLabel ? `Redo: ${redoLabel} (Ctrl Shift Z)` : "Nothing to redo"}
        >
          <Redo2 size={15} aria-hidden="true" /> <span className="max-[480px]:sr-only">Redo</span>
        </button>
        <button
          className="bar-button"
          disabled={!result}
          onClick={() => help("palette")}
          title="Find anything (Ctrl K)"
        >
          <Search size={15} aria-hidden="true" /> <span className="max-[700px]:sr-only">Find</span>
        </button>
        <button
          className="bar-button"
          disabled={!result}
          onClick={() => help("how")}
          title="How this page works"
          aria-label="How this page works"
        >
          <CircleHelp size={15} aria-hidden="true" />
        </button>
        <FileMenu />
      </div>
    </header>
  );
}
