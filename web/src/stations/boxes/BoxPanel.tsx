/** One box: what is in it, where it goes, how far it has come; printed as a list and a label. */
import { useMemo, useState } from "react";
import { boxesOf, boxLineSchema, refillsOf, type Plan, type PlannedBox, type PlanResult } from "@gepack/core";
import { changeBox, markBox } from "../../edit/boxes.ts";
import { setFields } from "../../edit/rows.ts";
import { showPapers } from "../../store/papers.ts";
import { ticksOf } from "../../edit/ticks.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { parseQuantity } from "../../units/quantity.ts";
import {
  arrivalWords,
  boxName,
  faultWords,
  refillWords,
  sendWords,
  STEP_WORDS,
  STEPS,
  wordWords,
} from "../../words/boxes.ts";
import { stopName } from "../../words/names.ts";
import type { Say } from "../../words/say.ts";
import { itemsOf } from "../../paper/boxItems.ts";
import { freshId, todayHere } from "../../store/made.ts";
import { emptied, useDraft } from "../../store/drafts.ts";
import { TypedText, type Read } from "../../ui/TypedText.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  box: PlannedBox;
  say: Say;
}

const MOST_LINES = 200;

export function BoxPanel({ plan, result, box, say }: Props) {
  const ticks = ticksOf(plan);
  const [line, setLine] = useState("");
  useDraft(line !== "");
  const [fault, setFault] = useState<string>();
  const name = boxName(box, plan);
  const items = itemsOf({ plan, result, box });
  const due = useMemo(() => refillsOf(plan, result, boxesOf(plan, result)), [plan, result]);
  const proposed = (due.get(box.key) ?? [])
    .map((refill) => ({ ...refill, text: refillWords(refill, plan) }))
    .filter(({ text }) => !box.row?.lines.some((line) => line.name === text));
  const keyOf = (id: string): string => `box ${box.key} ${id}`;
  const { row } = box;
  const today = todayHere();
  const add = (): void => {
    const found = /^(.+?)\s+(\d[\d.,]*\s*(?:kg|g|oz|lb))$/i.exec(line.trim());
    const mass = found && parseQuantity("smallMass", found[2]!, plan.trip.units);
    const row = boxLineSchema.safeParse({
      id: freshId(),
      name: found?.[1],
      massG: mass && "value" in mass ? mass.value : undefined,
    });
    if (!row.success) return setFault("Enter an item and a weight up to 50 kg, such as “maps 120 g”.");
    if ((box.row?.lines.length ?? 0) >= MOST_LINES)
      return setFault(`A box holds up to ${MOST_LINES} items of your own.`);
    setFault(undefined);
    void changeBox(box, `Box to ${name}: ${row.data.name}`, ({ lines }) => void lines.push(row.data)).then(
      (isStored) => isStored && setLine(emptied(line)),
    );
  };
  return (
    <section aria-label={`Box to ${name}`} className="min-w-0 text-sm">
      <h2 className="m-0 text-lg font-bold">{name}</h2>
      <p className="mt-0 mb-2 text-muted">
        Mail it {sendWords(box, say)}: {say.percent(100 * box.chance)} chance of being there when you come.{" "}
        {wordWords(box, plan, say)} You arrive {arrivalWords(box, say)}; it is held for {say.days(box.holdDays)}. For
        leg {box.legIndex + 1}, from {stopName(plan, box.toStopId)}.
      </p>
      {box.faults.map((fault) => {
        const words = faultWords(fault);
        return (
          words && (
            <p key={fault.kind} className="my-1 text-caution">
              {words}
            </p>
          )
        );
      })}
      <ul aria-label="In the box" className="m-0 list-none p-0">
        {items.map(({ id, name: what, grams, own, waits }) => (
          <li key={id} className="flex items-baseline gap-2 border-b border-rule py-0.5">
            <label className="flex flex-1 items-baseline gap-2">
              <input
                type="checkbox"
                checked={ticks.isTicked(keyOf(id))}
                onChange={(event) => ticks.tick(keyOf(id), event.target.checked)}
              />
              <span className={`min-w-0 ${ticks.isTicked(keyOf(id)) ? "text-muted line-through" : ""}`}>{what}</span>
              {waits && <span className="text-caution">left out for now</span>}
            </label>
            {own && plan.decisions.length > 0 && (
              <select
                className="field max-w-[150px]"
                aria-label={`Add ${what}`}
                value={row?.lines.find((one) => one.id === id)?.decisionId ?? ""}
                onChange={(event) => {
                  const decisionId = event.target.value;
                  changeBox(box, `Box to ${name}: when to add ${what}`, ({ lines }) => {
                    const own = lines.find((one) => one.id === id);
                    if (own) setFields(own, { decisionId: decisionId === "" ? undefined : decisionId });
                  });
                }}
              >
                <option value="">always</option>
                {plan.decisions.map((choice) => (
                  <option key={choice.id} value={choice.id}>
                    if {choice.name}
                  </option>
                ))}
              </select>
            )}
            <span className="figure">{say.g(grams)}</span>
            {own && (
              <button
                className="text-danger hover:underline"
                aria-label={`Remove ${what}`}
                onClick={() =>
                  changeBox(box, `Box to ${name}: remove ${what}`, (target) => {
                    target.lines = target.lines.filter((one) => one.id !== id);
                  })
                }
              >
                out
              </button>
            )}
          </li>
        ))}
        <li className="flex items-baseline gap-2 py-0.5 font-semibold">
          <span className="flex-1">
            Including the carton
            {box.litres >= 0.5 && <span className="font-normal text-muted">, about {say.L(box.litres)}</span>}
          </span>
          <span className="figure" data-testid="box-total">
            {say.g(box.totalG)}
          </span>
        </li>
      </ul>
      {proposed.length > 0 && (
        <p className="my-1 flex flex-wrap items-center gap-2">
          <span className="text-muted">To replace by then:</span>
          {proposed.map(({ text, grams }) => (
            <button
              key={text}
              className="btn"
              title={`Add ${text} to the box`}
              onClick={() =>
                changeBox(box, `Box to ${name}: ${text}`, ({ lines }, { newId }) => {
                  if (lines.length < MOST_LINES) lines.push({ id: newId(), name: text, massG: grams });
                })
              }
            >
              {text}, {say.g(grams)}
            </button>
          ))}
        </p>
      )}
      <form
        className="is-form mt-2 flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <input
          className="field w-[180px]"
          aria-label="Add to the box"
          placeholder="maps 120 g"
          value={line}
          aria-invalid={fault !== undefined}
          onChange={(event) => {
            setLine(event.target.value);
            setFault(undefined);
          }}
        />
        <button className="btn">Add</button>
        {fault && (
          <span role="alert" className="text-danger">
            {fault}
          </span>
        )}
        <FieldNumber
          path="boxes.cartonG"
          label="Carton"
          value={row?.cartonG ?? 250}
          units={plan.trip.units}
          className="w-[90px]"
          onCommit={(cartonG) => changeBox(box, `Box to ${name}: carton`, (target) => void (target.cartonG = cartonG))}
        />
      </form>
      <div className="is-form mt-2">
        <TypedText
          label="Address"
          lines
          className="min-h-[64px] w-full"
          shown={row?.address ?? ""}
          read={readAddress}
          show={(address) => address}
          placeholder={`Name, c/o ${stopName(plan, box.toStopId)}; please hold for hiker arriving ${arrivalWords(box, say)}`}
          onCommit={(address) => changeBox(box, `Box to ${name}: address`, (target) => void (target.address = address))}
        />
      </div>
      {(row?.address ?? "").trim() === "" && (
        <p className="my-1 text-caution">No address yet: ask the post office how to address it.</p>
      )}
      <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label="Status">
        {STEPS.map((step) => {
          const on = row?.[step];
          return (
            <button
              key={step}
              className={on === undefined ? "btn" : "btn btn-strong"}
              aria-pressed={on !== undefined}
              onClick={() => markBox(box, name, step, on === undefined ? today : undefined)}
            >
              {on === undefined ? STEP_WORDS[step] : `${STEP_WORDS[step]}, ${say.date(on)}`}
            </button>
          );
        })}
        <button className="btn" onClick={() => showPapers(["boxes"], box.key)}>
          Print list and label
        </button>
      </div>
    </section>
  );
}

const MOST_ADDRESS = 500;

function readAddress(text: string): Read<string> {
  return text.length <= MOST_ADDRESS
    ? { value: text }
    : { error: `An address has up to ${MOST_ADDRESS} letters; this one has ${text.length}.` };
}
