/** Today: made for one thumb in the tent. All that can be known stands there; what one adds is kept as it is typed. */
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { ChevronLeft, ChevronRight } from "lucide-react";
import {
  dayNumber,
  isoOfDay,
  isWalked,
  LOGGED_NIGHTS,
  nodeOf,
  rationState,
  walkedOf,
  type LogDay,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { forgetCard } from "../../edit/log.ts";
import { BlankNumber } from "../../ui/BlankNumber.tsx";
import { DateField } from "../../ui/DateField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { weekdayDate } from "../../units/date.ts";
import { FELT_WORDS, LEFT_WORDS, leftFigure, shortWords } from "../../words/log.ts";
import { firstName } from "../../words/names.ts";
import type { Say } from "../../words/say.ts";
import { PieceEvents } from "./PieceEvents.tsx";
import { endWords, readEnd } from "./endPlace.ts";
import { nameAt, namedPlaces, nextDate, openCard, waterAhead } from "./today.ts";
import type { CardInHand } from "./useCard.ts";
import { WaterSeen } from "./WaterSeen.tsx";
import { WhereTo } from "./WhereTo.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  hand: CardInHand;
  say: Say;
}

const NIGHTS: Readonly<Record<LogDay["night"], string>> = { camp: "in camp", bed: "in a bed", stop: "at the stop" };
const MOST_WATERS = 12;

export function TodayCard({ plan, result, hand, say }: Props) {
  const { card, change } = hand;
  const { profile } = result;
  const places = useMemo(() => namedPlaces(plan, result), [plan, result]);
  const { planned, before } = useMemo(() => openCard(plan, result, card.date), [plan, result, card.date]);
  const fromNode = before?.toNode ?? 0;
  const fromM = walkedOf(profile, fromNode);
  const [typed, setTyped] = useState("");
  const pending =
    typed.trim() === ""
      ? undefined
      : readEnd(typed, { places, nearM: planned?.toM ?? fromM, fromM, profile, units: plan.trip.units });
  const end = pending && !("error" in pending) ? pending : undefined;
  // What is typed is shown as it would be kept.
  const ends = end ?? card;
  const isThere = isWalked(profile, ends);
  const toNode = Math.max(fromNode, isThere ? nodeOf(profile, ends) : fromNode);
  const toM = walkedOf(profile, toNode);
  const climb = (values: ArrayLike<number>): number => {
    let sum = 0;
    for (let c = fromNode; c < toNode; c++) sum += values[c]!;
    return sum;
  };
  const waters = places
    .filter(({ kind, alongM }) => kind === "water" && alongM > fromM && alongM <= toM)
    .slice(0, MOST_WATERS);
  const isKept = plan.log.some(({ date }) => date === card.date);
  const aheadM = planned === undefined ? undefined : toM - planned.toM;
  // What is typed is drawn first.
  const settled = useDeferredValue(card);
  const rations = useMemo(
    () => rationState({ ...plan, log: [...plan.log.filter(({ date }) => date !== settled.date), settled] }, result),
    [plan, result, settled],
  );
  const leftPlanned = (what: "food" | "fuel"): number | undefined =>
    rations?.last.card.date === card.date ? plannedLeft(result, toNode, what) : undefined;
  const form = useRef<HTMLElement>(null);
  /** What is still in a field counts, on a device that leaves the focus there too; what was refused is shown first. */
  const saveDay = (): void => {
    const field = document.activeElement;
    if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.blur();
    if (pending && "error" in pending) return;
    const refused = form.current?.querySelector<HTMLElement>("[aria-invalid=true]");
    if (refused) return refused.focus();
    void hand.save(end);
    setTyped("");
  };
  const step = (days: number): void => hand.open(isoOfDay(dayNumber(card.date)! + days));
  const ahead = useMemo(() => waterAhead(result, toNode), [result, toNode]);
  const field = { units: plan.trip.units } as const;
  const placeName = nameAt(places, toM) ?? say.distance(toM);
  return (
    <section ref={form} aria-label="Today" className="is-form grid gap-3 px-[18px] py-3 text-base" data-testid="today">
      <div className="flex flex-wrap items-center gap-2">
        <button
          className="btn min-h-[44px]"
          aria-label="Previous day"
          disabled={card.date <= plan.trip.startDate}
          onClick={() => step(-1)}
        >
          <ChevronLeft size={18} aria-hidden="true" />
        </button>
        <b className="text-lg">
          Day {dayNumber(card.date)! - dayNumber(plan.trip.startDate)! + 1}, {weekdayDate(card.date)}
        </b>
        <button
          className="btn min-h-[44px]"
          aria-label="Next day"
          disabled={card.date >= nextDate(plan) && !hand.isChanged && !isKept}
          onClick={() => step(1)}
        >
          <ChevronRight size={18} aria-hidden="true" />
        </button>
        <DateField
          label="Date"
          bare
          required
          value={card.date}
          near={plan.trip.startDate}
          onCommit={(date) => hand.open(date)}
        />
        {isKept && <span className="text-sm text-muted">saved</span>}
      </div>
      {ahead && (
        <p className="m-0 font-bold" data-testid="water-ahead">
          Next water in {say.distance(ahead.distanceM)}. Carry from here:{" "}
          {ahead.litres
            .map((litres, who) => `${plan.hikers.length > 1 ? `${firstName(plan.hikers[who]!)} ` : ""}${say.L(litres)}`)
            .join(", ")}
          .
        </p>
      )}
      <div>
        <h2 className="m-0 text-2xl font-extrabold">
          {say.distance(toM - fromM)}, {say.height(climb(profile.climbM))} up
        </h2>
        <p className="m-0 text-muted" data-testid="today-say">
          {nameAt(places, fromM) ?? say.distance(fromM)} to {placeName} · total {say.distance(toM)}
          {aheadM !== undefined &&
            Math.abs(aheadM) >= 500 &&
            ` · ${say.distance(Math.abs(aheadM))} ${aheadM > 0 ? "further than" : "less than"} planned`}
          {profile.hasHeights &&
            ` · ${say.height(profile.heightM[fromNode]!)} → ${say.height(profile.heightM[toNode]!)}`}
        </p>
        {!isThere && <p className="m-0 text-caution">That place is off your route: choose where the day ended.</p>}
      </div>
      <WhereTo
        result={result}
        places={places}
        fromM={fromM}
        plannedM={planned?.toM}
        say={say}
        onPlace={change}
        typed={typed}
        onType={setTyped}
        pending={pending}
      />
      <div className="grid grid-cols-2 gap-2">
        <BlankNumber
          {...field}
          path="log.walkedH"
          label="walking"
          value={card.walkedH}
          planned={planned?.walkH}
          onCommit={(walkedH) => change({ walkedH })}
        />
        <BlankNumber
          {...field}
          path="log.breakH"
          label="breaks"
          value={card.breakH}
          onCommit={(breakH) => change({ breakH })}
        />
        <Words label="weather" value={card.weather} onCommit={(weather) => change({ weather })} />
        <Words label="area" value={card.area} onCommit={(area) => change({ area })} />
        <BlankNumber
          {...field}
          path="log.lowC"
          label="low"
          value={card.lowC}
          planned={planned?.coldNightC}
          onCommit={(lowC) => change({ lowC })}
        />
        <BlankNumber
          {...field}
          path="log.highC"
          label="high"
          value={card.highC}
          onCommit={(highC) => change({ highC })}
        />
        <BlankNumber
          {...field}
          path="log.drankL"
          label="water drunk"
          value={card.drankL}
          onCommit={(drankL) => change({ drankL })}
        />
      </div>
      <section aria-label="Left in the food bag" className="border-t-2 border-ink pt-1">
        <h3 className="m-0 mb-1 text-base font-bold">What’s left</h3>
        <div className="grid w-full grid-cols-3 gap-2">
          <BlankNumber
            {...field}
            path="log.foodKg"
            label="food"
            value={card.foodKg}
            planned={leftPlanned("food")}
            onCommit={(foodKg) => change({ foodKg })}
          />
          <BlankNumber
            {...field}
            path="log.fuelG"
            label="fuel"
            value={card.fuelG}
            planned={leftPlanned("fuel")}
            onCommit={(fuelG) => change({ fuelG })}
          />
          <BlankNumber
            {...field}
            path="log.chargeFraction"
            label="battery"
            value={card.chargeFraction}
            onCommit={(chargeFraction) => change({ chargeFraction })}
          />
        </div>
        {rations?.left.map(({ what, have, wanted, isEnough }) => (
          <p key={what} className={`m-0 text-sm ${isEnough ? "text-muted" : "text-danger"}`} data-left={what}>
            {LEFT_WORDS[what]}: {leftFigure(what, have, say)} left, {leftFigure(what, wanted, say)} needed to the next
            stop
            {isEnough
              ? "; that’s enough by the plan."
              : `: not enough. ${shortWords(what, say.distance(rations.backM))}`}
          </p>
        ))}
      </section>
      <WaterSeen waters={waters} card={card} change={change} say={say} />
      <div className="flex flex-wrap items-center gap-1" role="group" aria-label="How it felt">
        <span className="w-full text-xs text-muted">how it felt</span>
        {FELT_WORDS.map((word, i) => (
          <button
            key={word}
            className={`min-h-[44px] flex-1 justify-center ${card.felt === i + 1 ? "btn btn-strong" : "btn"}`}
            aria-pressed={card.felt === i + 1}
            onClick={() => change({ felt: card.felt === i + 1 ? undefined : i + 1 })}
          >
            {word}
          </button>
        ))}
      </div>
      <PieceEvents plan={plan} card={card} change={change} />
      <div className="grid grid-cols-2 gap-2">
        <BlankNumber
          {...field}
          path="log.bodyKg"
          label="body weight"
          value={card.bodyKg}
          onCommit={(bodyKg) => change({ bodyKg })}
        />
        <BlankNumber
          {...field}
          path="log.money"
          label="spent"
          value={card.money}
          onCommit={(money) => change({ money })}
        />
        <Pick
          label="Night"
          value={card.night}
          options={LOGGED_NIGHTS.map((night) => [night, NIGHTS[night]] as const)}
          onPick={(night) => change({ night })}
        />
      </div>
      <label className="grid text-xs text-muted">
        notes
        <textarea
          className="field min-h-[88px] text-base text-ink"
          maxLength={4000}
          value={card.notes}
          onChange={(event) => change({ notes: event.target.value })}
        />
      </label>
      <div className="sticky bottom-0 flex flex-wrap gap-2 border-t border-rule bg-sheet py-2">
        {hand.saved && (
          <p role="status" className="m-0 flex w-full items-center gap-3 text-base">
            Saved {say.date(hand.saved.date)}.
            <button className="btn min-h-[44px]" onClick={hand.takeBack}>
              Undo
            </button>
          </p>
        )}
        {isKept && (
          <button
            className="btn min-h-[48px] flex-1 justify-center"
            onClick={() => void forgetCard(card).then((isStored) => isStored && hand.drop())}
          >
            Delete this day
          </button>
        )}
        <button
          className="btn btn-strong min-h-[48px] flex-[2] justify-center text-lg"
          disabled={hand.saved !== undefined && pending === undefined}
          title={hand.saved && "Change something of this day first, or open another."}
          onClick={saveDay}
        >
          Save day: {end ? endWords(end, { profile, places, fromM, say }) : say.distance(toM - fromM)}
        </button>
      </div>
    </section>
  );
}

/** What the plan has left of a leg's food and fuel at a place, of the first hiker. */
function plannedLeft({ legs, cellH, packs }: PlanResult, node: number, what: "food" | "fuel"): number | undefined {
  const leg = legs.find(({ fromNode, toNode }) => fromNode <= node && node < toNode);
  if (!leg) return undefined;
  if (what === "food") return packs[0]!.foodKg[Math.max(leg.fromNode, node - 1)];
  let [all, ahead] = [0, 0];
  for (let c = leg.fromNode; c < leg.toNode; c++) {
    all += cellH[c]!;
    if (c >= node) ahead += cellH[c]!;
  }
  const { needG, endG } = leg.hikers[0]!.fuel;
  return endG + (all > 0 ? (needG * ahead) / all : 0);
}

function Words({ label, value, onCommit }: { label: string; value: string; onCommit: (text: string) => void }) {
  return (
    <label className="grid text-xs text-muted">
      {label}
      <input
        className="field min-h-[44px] text-base text-ink"
        maxLength={200}
        value={value}
        onChange={(event) => onCommit(event.target.value)}
      />
    </label>
  );
}
