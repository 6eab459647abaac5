/** A later file of places against those of the plan: new, changed, no longer named, with a choice for each. */
import { useMemo, useState } from "react";
import type { Plan } from "@gepack/core";
import { mergeOf, takeMerge } from "../../edit/mergePlaces.ts";
import { Found } from "../../reading/Found.tsx";
import { partsOf } from "../../reading/found.ts";
import { useFound } from "../../reading/useFound.ts";
import type { Previewed } from "../../reading/useTrackFile.ts";
import { mainTracks } from "../../store/trail.ts";

const MOST_NAMES = 4;

export function MergePanel({ plan, phase, onDone }: { plan: Plan; phase: Previewed; onDone: () => void }) {
  const { rows, setRows } = useFound(phase, mainTracks);
  const [add, setAdd] = useState(true);
  const [update, setUpdate] = useState(true);
  const [remove, setRemove] = useState<ReadonlySet<string>>(new Set());
  const merge = useMemo(() => rows && mergeOf(plan, partsOf(rows)), [plan, rows]);
  if (!rows || !merge) return <p className="my-1 text-muted">Matching places to the track…</p>;
  const added = [...merge.added.map(({ row }) => row.name), ...merge.stretches.map(({ name }) => name)];
  const toggle = (id: string): void => {
    const next = new Set(remove);
    if (!next.delete(id)) next.add(id);
    setRemove(next);
  };
  const count = (add ? added.length : 0) + (update ? merge.changed.length : 0) + remove.size;
  return (
    <div data-testid="merge">
      <Found rows={rows} onChange={setRows} />
      <Choice label="new" names={added} checked={add} onChange={setAdd}>
        add
      </Choice>
      <Choice label="changed" names={merge.changed.map(({ row }) => row.name)} checked={update} onChange={setUpdate}>
        update
      </Choice>
      {merge.same > 0 && (
        <p className="my-1 text-muted">
          {merge.same} {merge.same === 1 ? "is" : "are"} unchanged.
        </p>
      )}
      {merge.gone.length > 0 && (
        <details className="my-1">
          <summary className="cursor-pointer">
            <b className="figure">{merge.gone.length}</b> {merge.gone.length === 1 ? "place" : "places"} in your plan{" "}
            {merge.gone.length === 1 ? "isn’t" : "aren’t"} in this file, and{" "}
            {merge.gone.length === 1 ? "stays unless you remove it" : "stay unless you remove them"}
          </summary>
          <ul className="m-0 max-h-[160px] list-none overflow-auto p-0">
            {merge.gone.map(({ id, name }) => (
              <li key={id}>
                <label className="flex items-center gap-2">
                  <input type="checkbox" checked={remove.has(id)} onChange={() => toggle(id)} /> remove {name}
                </label>
              </li>
            ))}
          </ul>
        </details>
      )}
      <button
        className="btn btn-strong mt-2"
        disabled={count === 0}
        onClick={() => void takeMerge(merge, { add, update, remove }).then((isStored) => isStored && onDone())}
      >
        Apply {count === 1 ? "this change" : `these ${count} changes`}
      </button>
    </div>
  );
}

interface ChoiceProps {
  label: string;
  names: readonly string[];
  checked: boolean;
  onChange: (checked: boolean) => void;
  children: string;
}

function Choice({ label, names, checked, onChange, children }: ChoiceProps) {
  if (names.length === 0) return null;
  return (
    <label className="my-1 flex items-start gap-2">
      <input type="checkbox" className="mt-1" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      <span>
        <b className="figure">{names.length}</b> {label}: {children}{" "}
        <span className="text-muted">
          ({names.slice(0, MOST_NAMES).join(", ")}
          {names.length > MOST_NAMES ? ", …" : ""})
        </span>
      </span>
    </label>
  );
}
