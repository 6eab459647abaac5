/** What waits for how something turns out: by when to decide, what it weighs either way, decided with a reason; and the story. */
import { useState } from "react";
import {
  decisionsOf,
  DECIDED_BY,
  decisionSchema,
  type Decision,
  type PlanDecision,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { decide, hold } from "../../edit/kit.ts";
import { removeRows, setRow } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { parsePlain, parseQuantity, unitSymbol, type QuantityKind } from "../../units/quantity.ts";
import { counted } from "../../words/counted.ts";
import { DECIDED_WORDS, decisionFigure } from "../../words/kit.ts";
import { stopName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { freshId } from "../../store/made.ts";
import { emptied, useDraft } from "../../store/drafts.ts";
import { mostRows } from "../../edit/fields.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
}

export function Decisions({ plan, result }: Props) {
  const say = sayIn(plan);
  const rows = decisionsOf(plan, result).sort((a, b) => (a.decideBy ?? "9").localeCompare(b.decideBy ?? "9"));
  return (
    <div className="py-2 text-sm">
      {rows.length === 0 && (
        <p className="mt-0 mb-2 max-w-[72ch] text-muted">
          No open decisions. Use one for an item you take only under a condition. Examples: spikes if June reports
          mention ice, a second bottle if the cache is empty. Name it here, and we work out the day to decide by.
        </p>
      )}
      <ul aria-label="Open decisions" className="m-0 list-none p-0">
        {rows.map((row) => (
          <Waiting key={row.choice.id} plan={plan} result={result} row={row} say={say} />
        ))}
      </ul>
      <Add plan={plan} />
      {plan.kitStory.length > 0 && (
        <section aria-label="Gear change log" className="mt-3">
          <h4 className="m-0 text-sm font-bold">Gear change log</h4>
          <ol className="m-0 list-none p-0">
            {plan.kitStory.toReversed().map(({ on, what, why }, i) => (
              <li key={i} className="flex flex-wrap gap-x-3 border-t border-rule py-0.5">
                <span className="text-muted">{say.date(on)}</span>
                <b className="font-semibold">{what}</b>
                <span className="text-muted">{why}</span>
              </li>
            ))}
          </ol>
        </section>
      )}
    </div>
  );
}

function Waiting({ plan, result, row, say }: Props & { row: Decision; say: Say }) {
  const { choice, taken, decideBy, legIndex, takenG, found } = row;
  const [why, setWhy] = useState("");
  useDraft(why !== "");
  const names = (ids: readonly string[]): string =>
    plan.kit.flatMap(({ id, name }) => (ids.includes(id) ? [name] : [])).join(", ") || "nothing";
  const where = legIndex === undefined ? undefined : stopName(plan, result.legs[legIndex]!.fromStopId);
  return (
    <li className="border-t border-rule py-1.5" data-held={choice.name}>
      <b>{choice.name}</b>: {names(choice.pieceIds)}
      {choice.otherwiseIds.length > 0 && <>, otherwise {names(choice.otherwiseIds)}</>}
      <span className="text-muted">
        {" "}
        ({takenG < 0 ? "−" : "+"}
        {say.g(Math.abs(takenG))} from {where ?? "no stop on the route"}
        {decideBy !== undefined && `; decide by ${say.date(decideBy)}`})
      </span>
      {found && choice.condition && (
        <div className={found.isSo ? "text-caution" : "text-muted"}>
          By the plan’s figures this {found.isSo ? "applies" : "doesn’t apply"}: {DECIDED_WORDS[choice.condition.of]}{" "}
          {decisionFigure(choice.condition.of, choice.condition.limit, say)}; the plan has{" "}
          {decisionFigure(choice.condition.of, found.have, say)}.{" "}
          {found.forecastDays > 0 && `${found.forecastDays} of ${counted(found.days, "day")} are in your forecast. `}
          Forecasts, readings and reports on the day come first.
        </div>
      )}
      {choice.decided ? (
        <div className="flex flex-wrap items-center gap-2">
          <span>
            {choice.decided.taken ? "Taken along" : "Left behind"}, decided on {say.date(choice.decided.on)}
            {choice.decided.why && <>: {choice.decided.why}</>}
          </span>
          <button className="btn" onClick={() => decide(choice, undefined, "")}>
            Reopen
          </button>
        </div>
      ) : (
        <div className="is-form mt-1 flex flex-wrap items-end gap-2">
          <Side plan={plan} choice={choice} side="pieceIds" label="Items if it applies" />
          <Side plan={plan} choice={choice} side="otherwiseIds" label="Items if not" />
          <Pick
            label="Until then, plan"
            value={choice.counted ? "with" : "without"}
            options={[
              ["with", "with it"],
              ["without", "without it"],
            ]}
            onPick={(value) =>
              setRow("decisions", choice.id, `${choice.name}: plan ${value} it`, { counted: value === "with" })
            }
          />
          <label className="grid font-semibold">
            Why
            <input
              className="field mt-1 w-[220px] font-normal"
              maxLength={500}
              value={why}
              onChange={(event) => setWhy(event.target.value)}
            />
          </label>
          <button className="btn btn-strong" onClick={() => decide(choice, true, why)}>
            Take it along
          </button>
          <button className="btn" onClick={() => decide(choice, false, why)}>
            Leave it behind
          </button>
          <button
            className="btn text-danger"
            onClick={() => removeRows("decisions", [choice.id], `Delete ${choice.name}`)}
          >
            Delete
          </button>
          <span className="text-muted">For now, the plan is {taken ? "with" : "without"} it.</span>
        </div>
      )}
    </li>
  );
}

const MOST_A_SIDE = 40;

/** A piece more on one side, or one of them off it again. */
function Side({ plan, choice, side, label }: SideProps) {
  const ids = choice[side];
  const nameOf = (id: string): string => plan.kit.find((piece) => piece.id === id)?.name ?? id;
  const set = (next: string[], what: string): void =>
    void setRow("decisions", choice.id, `${choice.name}: ${what}`, { [side]: next });
  const free = plan.kit.filter(({ id }) => !choice.pieceIds.includes(id) && !choice.otherwiseIds.includes(id));
  return (
    <Pick
      label={label}
      value=""
      options={[
        ["", ids.length === 0 ? "nothing" : ids.map(nameOf).join(", ")],
        ...(ids.length < MOST_A_SIDE ? free.map(({ id, name }) => [id, `add ${name}`] as const) : []),
        ...(side === "otherwiseIds" || ids.length > 1 ? ids.map((id) => [id, `remove ${nameOf(id)}`] as const) : []),
      ]}
      onPick={(id) => {
        if (id === "") return;
        if (ids.includes(id))
          set(ids.filter((one) => one !== id), `remove ${nameOf(id)}`); // prettier-ignore
        else set([...ids, id], `add ${nameOf(id)}`);
      }}
    />
  );
}

interface SideProps {
  plan: Plan;
  choice: PlanDecision;
  side: "pieceIds" | "otherwiseIds";
  label: string;
}

type Of = NonNullable<PlanDecision["condition"]>["of"];

const KIND: Readonly<Partial<Record<Of, QuantityKind>>> = {
  "night-below": "temperature",
  "snow-over": "distance",
  "carry-over": "volume",
};

/** What is in no unit that is chosen. */
const UNIT: Readonly<Partial<Record<Of, string>>> = { "wet-over": "days", "wind-over": "m/s" };

function Add({ plan }: { plan: Plan }) {
  const [name, setName] = useState("");
  const [pieceId, setPieceId] = useState("");
  const [otherId, setOtherId] = useState("");
  const [of, setOf] = useState<Of | "">("");
  useDraft(name + pieceId + otherId + of !== "");
  const [limit, setLimit] = useState("0");
  const pieces = plan.kit.map((piece) => [piece.id, piece.name] as const);
  const { units } = plan.trip;
  const kind = of === "" ? undefined : KIND[of];
  const read = of === "" ? undefined : kind ? parseQuantity(kind, limit, units) : parsePlain(limit, UNIT[of]);
  const most = mostRows("decisions");
  const fault =
    plan.decisions.length >= most
      ? `A plan has up to ${most} decisions.`
      : !decisionSchema.shape.name.safeParse(name.trim()).success
        ? "Say what it depends on."
        : pieceId === ""
          ? "Choose the item to take."
          : read && "error" in read
            ? read.error
            : undefined;
  return (
    <form
      aria-label="Add a decision"
      className="is-form mt-2 flex flex-wrap items-end gap-2 border-t border-rule pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (fault !== undefined) return;
        void hold({
          id: freshId(),
          name: name.trim(),
          pieceIds: [pieceId],
          otherwiseIds: otherId === "" ? [] : [otherId],
          counted: true,
          ...(of === "" || !read || "error" in read
            ? {}
            : {
                condition: {
                  of,
                  limit: Math.max(-100, Math.min(10_000, read.value / (of === "snow-over" ? 1000 : 1))),
                },
              }),
        }).then((isStored) => isStored && setName(emptied(name)));
      }}
    >
      <label className="grid font-semibold">
        Only if
        <input
          className="field mt-1 w-[240px] font-normal"
          placeholder="June reports mention ice"
          maxLength={200}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <Pick label="take" value={pieceId} options={[["", "an item"], ...pieces]} onPick={setPieceId} />
      <Pick label="otherwise take" value={otherId} options={[["", "nothing"], ...pieces]} onPick={setOtherId} />
      <Pick
        label="Check against"
        value={of}
        options={[["", "no figure"], ...DECIDED_BY.map((key) => [key, DECIDED_WORDS[key]] as [Of, string])]}
        onPick={setOf}
      />
      {of !== "" && (
        <label className="grid font-semibold">
          {kind ? unitSymbol(kind, units) : UNIT[of]}
          <input
            className="field mt-1 w-[80px] font-normal"
            inputMode="decimal"
            value={limit}
            onChange={(event) => setLimit(event.target.value)}
          />
        </label>
      )}
      <button className="btn" disabled={fault !== undefined} title={fault}>
        Add decision
      </button>
    </form>
  );
}
