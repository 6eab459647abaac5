/** Two lists of kit beside each other: what was added, left, changed and moved, and grams by group. */
import { useState } from "react";
import {
  compareLists,
  listNow,
  listOnLeg,
  type LegResult,
  type ListChange,
  type ListedPiece,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { keepList } from "../../edit/kit.ts";
import { removeRows } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { firstName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { emptied, useDraft } from "../../store/drafts.ts";
import { readName } from "../../ui/NameField.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
}

interface Source {
  key: string;
  words: string;
  pieces: () => ListedPiece[];
}

const KIND_WORDS: Readonly<Record<ListChange["kind"], string>> = {
  added: "Added",
  left: "Removed",
  changed: "Changed",
  moved: "Changed carrier",
};

export function ListCompare({ plan, result, leg }: Props) {
  const say = sayIn(plan);
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string>();
  useDraft(name !== "");
  const sources = sourcesOf(plan, result, leg);
  const [one, setOne] = useState(sources.length > 4 ? sources[4]!.key : "start");
  const [other, setOther] = useState(sources.length > 4 ? "now" : "finish");
  const find = (key: string): Source => sources.find((source) => source.key === key) ?? sources[0]!;
  const [from, to] = [find(one), find(other)];
  const compared = compareLists(from.pieces(), to.pieces());
  const options = sources.map(({ key, words }) => [key, words] as const);
  const kept = plan.savedLists.find(({ id }) => id === one || id === other);
  return (
    <div className="py-2 text-sm">
      <div className="is-form flex flex-wrap items-end gap-3">
        <Pick label="From" value={from.key} options={options} onPick={setOne} />
        <Pick label="To" value={to.key} options={options} onPick={setOther} />
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const read = readName(name);
            if ("error" in read) return setFault(read.error);
            void keepList(read.value).then((isStored) => isStored && setName(emptied(name)));
          }}
        >
          <label className="grid font-semibold">
            Save the current kit as
            <input
              className="field mt-1 w-[180px] font-normal"
              placeholder="before the shakedown"
              value={name}
              aria-invalid={fault !== undefined}
              onChange={(event) => {
                setName(event.target.value);
                setFault(undefined);
              }}
            />
          </label>
          <button className="btn">Save</button>
          {fault && (
            <span role="alert" className="text-danger">
              {fault}
            </span>
          )}
        </form>
        {kept && (
          <button
            className="btn text-danger"
            onClick={() => removeRows("savedLists", [kept.id], `Delete the list “${kept.name}”`)}
          >
            Delete “{kept.name}”
          </button>
        )}
      </div>
      <p className="my-2" data-testid="lists-say">
        {from.words} {say.kg(compared.beforeG / 1000, 2)}, {to.words} <b>{say.kg(compared.afterG / 1000, 2)}</b>:{" "}
        {signed(compared.afterG - compared.beforeG, say)}, including worn items and consumables.
      </p>
      <div className="grid gap-x-8 min-[860px]:grid-cols-[2fr_1fr]">
        <div>
          {compared.changes.length === 0 && <p className="my-1 text-muted">The two lists are identical.</p>}
          {(Object.keys(KIND_WORDS) as ListChange["kind"][]).map((kind) => (
            <Changes key={kind} plan={plan} kind={kind} changes={compared.changes} say={say} />
          ))}
        </div>
        <dl aria-label="Weight by group" className="m-0 grid h-fit grid-cols-[1fr_auto_auto] gap-x-4">
          {compared.groups.map(({ group, beforeG, afterG }) => (
            <div key={group} className="contents">
              <dt>{group}</dt>
              <dd className="figure m-0 text-right">{say.g(afterG)}</dd>
              <dd className="figure m-0 text-right text-muted">
                {afterG === beforeG ? "" : signed(afterG - beforeG, say)}
              </dd>
            </div>
          ))}
        </dl>
      </div>
    </div>
  );
}

interface ChangesProps {
  plan: Plan;
  kind: ListChange["kind"];
  changes: readonly ListChange[];
  say: Say;
}

function Changes({ plan, kind, changes, say }: ChangesProps) {
  const mine = changes.filter((change) => change.kind === kind);
  if (mine.length === 0) return null;
  const carrier = ({ hikerId }: ListedPiece): string => {
    const hiker = plan.hikers.find(({ id }) => id === hikerId);
    return hiker ? firstName(hiker) : "somebody";
  };
  return (
    <section aria-label={KIND_WORDS[kind]} className="mb-2">
      <h4 className="m-0 text-sm font-bold">
        {KIND_WORDS[kind]} <span className="font-normal text-muted">({mine.length})</span>
      </h4>
      <ul className="m-0 list-none p-0">
        {mine.map(({ before, after, changeG }) => (
          <li key={(after ?? before)!.id} className="flex gap-3">
            <span className="flex-1">
              {(after ?? before)!.name}
              {before && after && before.name !== after.name && (
                <span className="text-muted"> instead of {before.name}</span>
              )}
              {kind === "moved" && ` from ${carrier(before!)} to ${carrier(after!)}`}
              {before &&
                after &&
                before.quantity !== after.quantity &&
                ` ×${after.quantity} instead of ×${before.quantity}`}
              {before && after && before.wear !== after.wear && `, ${after.wear} instead of ${before.wear}`}
            </span>
            <span className="figure">
              {kind === "moved" ? say.g(after!.massG * after!.quantity) : signed(changeG, say)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function sourcesOf(plan: Plan, result: PlanResult, leg: LegResult): Source[] {
  const last = result.legs.length - 1;
  return [
    { key: "now", words: "everything on the hike", pieces: () => listNow(plan) },
    { key: "start", words: "at the start", pieces: () => listOnLeg(plan, result, 0) },
    { key: "leg", words: `on leg ${leg.index + 1}`, pieces: () => listOnLeg(plan, result, leg.index) },
    { key: "finish", words: "at the finish", pieces: () => listOnLeg(plan, result, last) },
    ...plan.savedLists.map(({ id, name, pieces }) => ({ key: id, words: `“${name}”`, pieces: () => pieces })),
    ...(plan.hikers.length > 1
      ? plan.hikers.map((hiker, who) => ({
          key: `hiker ${hiker.id}`,
          words: `${firstName(hiker)} on leg ${leg.index + 1}`,
          pieces: () => listOnLeg(plan, result, leg.index, who),
        }))
      : []),
  ];
}

function signed(grams: number, say: Say): string {
  if (Math.abs(grams) < 0.5) return "no difference";
  return `${grams > 0 ? "+" : "−"}${say.g(Math.abs(grams))}`;
}
