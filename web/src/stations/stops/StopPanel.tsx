/** The selected stop: getting there, its doors, its post, what it offers and lacks, how food comes, and what else could be done. */
import { useState } from "react";
import {
  ACCESS,
  isoOfDay,
  LACKS,
  meanTransitDays,
  postPlaceOf,
  SERVICES,
  simulatedTransit,
  type Plan,
  type Stop,
  type StopFigures,
} from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { chooseStop } from "../../edit/stops.ts";
import { keepRest } from "../../edit/variants.ts";
import { ClocksField } from "../../ui/ClockField.tsx";
import { DateField } from "../../ui/DateField.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { OwnFigure } from "../../ui/OwnFigure.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { SeasonField } from "../../ui/SeasonField.tsx";
import { TypedText } from "../../ui/TypedText.tsx";
import { sayIn } from "../../words/say.ts";
import { ACCESS_WORDS } from "../../words/stops.ts";
import { FoodSupply } from "./FoodSupply.tsx";
import { Instead } from "./Instead.tsx";
import { Days, Group, Hours, Row, Ticks } from "./parts.tsx";

interface Props {
  plan: Plan;
  stop: Stop;
  /** Undefined where it is skipped. */
  figures: StopFigures | undefined;
}

export function StopPanel({ plan, stop, figures }: Props) {
  const say = sayIn(plan);
  const { id, name, use, locked, services } = stop;
  const set = (what: string, fields: Partial<Stop>): void => void setRow("stops", id, `${name}: ${what}`, fields);
  const number = (key: NumberKey, label: string, what: string) => (
    <Row label={label}>
      <FieldNumber
        bare
        className="w-[72px]"
        path={`stops.${key}`}
        label={`${label}, ${name}`}
        value={stop[key]}
        units={plan.trip.units}
        onCommit={(value) => set(what, { [key]: value })}
      />
    </Row>
  );
  const simulated = simulatedTransit({ to: postPlaceOf(stop), distanceKm: 0 });
  const hasPost = services.length === 0 || services.includes("post");
  return (
    <aside
      aria-label="Stop"
      className="min-w-0 border-l border-rule pl-4 text-sm max-[999px]:border-l-0 max-[999px]:pl-0"
    >
      <h2 className="m-0 text-lg font-bold">{name}</h2>
      <p className="mt-0.5 mb-2 text-muted">{stayWords(figures, say)}</p>
      <div className="flex flex-wrap gap-2">
        <button className="btn" onClick={() => chooseStop(stop, !use)}>
          {use ? "Skip" : "Use"}
        </button>
        <button
          className="btn"
          aria-pressed={locked}
          onClick={() => set(locked ? "let the search decide" : "locked", { locked: !locked })}
        >
          {locked ? "Let the search decide" : use ? "Always stop here" : "Never stop here"}
        </button>
      </div>
      {isBrief(figures) && (
        <p className="mt-2 mb-0">
          You arrive early and stay the night.{" "}
          <button className="btn" onClick={() => set("walk on the same day", { nights: 0 })}>
            Walk on the same day
          </button>
        </p>
      )}
      {figures?.leaves && figures.arrives && <FromHere plan={plan} name={name} legIndex={figures.leaves.index} />}
      <Instead key={id} plan={plan} stop={stop} />
      {figures && (
        <Group title="Food for the next leg">
          <FoodSupply plan={plan} stop={stop} figures={figures} set={set} />
        </Group>
      )}
      <Group title="Getting there">
        <Row label="by">
          <Pick
            bare
            label={`Getting to ${name}`}
            value={stop.access}
            options={ACCESS.map((means) => [means, ACCESS_WORDS[means]] as const)}
            onPick={(access) => set(ACCESS_WORDS[access], { access })}
          />
        </Row>
        {number("offTrailM", "off trail", "off trail")}
        {stop.access === "foot" ? (
          <>
            {number("accessClimbM", "climb there", "climb there")}
            {number("backClimbM", "climb back", "climb back")}
          </>
        ) : (
          <>
            {number("rideMin", "minutes there, waiting included", "minutes there")}
            <Row label="minutes back, if different">
              <OwnFigure
                path="stops.rideBackMin"
                label={`Minutes back from ${name}`}
                value={stop.rideBackMin}
                units={plan.trip.units}
                onCommit={(rideBackMin) => set("minutes back", { rideBackMin })}
              />
            </Row>
            {number("ridePrice", "cost per person, one way", "price of the ride")}
          </>
        )}
        {stop.access === "shuttle" && (
          <>
            <Row label="leaves the trailhead at">
              <ClocksField
                label={`Shuttles to ${name}`}
                value={stop.shuttleClocks}
                onCommit={(clocks) => set("shuttles there", { shuttleClocks: [...clocks] })}
              />
            </Row>
            <Row label="leaves the stop at">
              <ClocksField
                label={`Shuttles from ${name}`}
                value={stop.shuttleBackClocks}
                onCommit={(clocks) => set("shuttles back", { shuttleBackClocks: [...clocks] })}
              />
            </Row>
          </>
        )}
      </Group>
      <Group title="Opening times">
        <Row label="season">
          <SeasonField
            label={`Season of ${name}`}
            from={stop.openFrom}
            to={stop.openTo}
            onCommit={([openFrom, openTo]) => set("season", { openFrom, openTo })}
          />
        </Row>
        <Hours
          name={name}
          opensH={stop.opensH}
          closesH={stop.closesH}
          onOpens={(opensH) => set("opening hour", { opensH })}
          onCloses={(closesH) => set("closing hour", { closesH })}
        />
        <Days name={name} shut={stop.closedOn} onChange={(closedOn) => set("closed on", { closedOn })} />
        {number("nights", "nights", "nights")}
        {stop.nights === 1 && (
          <Row label="walk on if you arrive before">
            <OwnFigure
              path="stops.walkOnBeforeH"
              label={`Walk on from ${name} if you arrive before`}
              value={stop.walkOnBeforeH}
              units={plan.trip.units}
              onCommit={(walkOnBeforeH) => set("walk on if you arrive before", { walkOnBeforeH })}
            />
          </Row>
        )}
        {number("bedPrice", "bed, per night", "price of a bed")}
      </Group>
      {hasPost && (
        <Group title="Post office">
          <Row label="season">
            <SeasonField
              label={`Season of the post at ${name}`}
              from={stop.postFrom}
              to={stop.postTo}
              onCommit={([postFrom, postTo]) => set("post season", { postFrom, postTo })}
            />
          </Row>
          <Hours
            name={`the post at ${name}`}
            opensH={stop.postOpensH}
            closesH={stop.postClosesH}
            onOpens={(postOpensH) => set("post opening hour", { postOpensH })}
            onCloses={(postClosesH) => set("post closing hour", { postClosesH })}
          />
          <Days
            name={`the post at ${name}`}
            shut={stop.postClosedOn}
            onChange={(postClosedOn) => set("post closed on", { postClosedOn })}
          />
          {number("postHoldDays", "holds boxes for, days", "days a box is held")}
          {number("postFee", "fee per box", "fee per box")}
          {number("postLeastDays", "minimum transit, working days", "transit days")}
          <button
            className="btn justify-self-start text-xs!"
            onClick={() => set("simulated transit days", { postLeastDays: simulated.leastDays })}
          >
            Look up transit time (simulated): {say.days(simulated.leastDays)}
          </button>
          <p className="m-0 text-xs text-muted">
            On average {say.number(meanTransitDays({ leastDays: stop.postLeastDays, q: plan.resupply.transitQ }), 1)}{" "}
            working days; our estimate, not a promise by the post (experimental).
          </p>
        </Group>
      )}
      <Group title="What it offers">
        <Ticks name={name} all={SERVICES} on={services} onChange={(next) => set("offers", { services: next })} />
      </Group>
      <Group title="Doesn’t stock">
        <Ticks
          name={`${name} is out of`}
          all={LACKS}
          on={stop.lacks}
          onChange={(next) => set("doesn’t stock", { lacks: next })}
        />
      </Group>
      <Group title="Source of this information">
        <TypedText
          label="Source"
          placeholder="guidebook, phone call, other hikers"
          shown={stop.infoFrom}
          read={(text) => ({ value: text.trim().slice(0, 200) })}
          show={(text) => text}
          onCommit={(infoFrom) => set("source", { infoFrom })}
        />
        <DateField
          label="on"
          value={stop.infoDate ?? ""}
          near={plan.trip.startDate}
          onCommit={(iso) => set("date of the source", { infoDate: iso === "" ? undefined : iso })}
        />
        {(stop.hours !== "" || stop.note !== "") && (
          <p className="m-0 text-muted">{[stop.hours, stop.note].filter((text) => text !== "").join(". ")}</p>
        )}
      </Group>
      <p className="mt-2 mb-0 text-xs text-muted">
        Hours, shuttles and counters change without notice: call before you count on them. Don’t plan on food other
        hikers leave behind.
      </p>
    </aside>
  );
}

type NumberKey =
  | "offTrailM"
  | "accessClimbM"
  | "backClimbM"
  | "rideMin"
  | "ridePrice"
  | "nights"
  | "bedPrice"
  | "postHoldDays"
  | "postFee"
  | "postLeastDays";

/** Whoever comes before this hour has half a day left. */
const EARLY_H = 13;

/** A single night at a stop that is reached with much of the day left: walking on may be what is wanted. */
function isBrief(figures: StopFigures | undefined): boolean {
  if (!figures?.arrives || !figures.leaves) return false;
  return figures.nights === 1 && figures.stop.nights === 1 && figures.stay.from.clockH < EARLY_H;
}

function stayWords(figures: StopFigures | undefined, say: ReturnType<typeof sayIn>): string {
  if (!figures) return "Skipped.";
  const { stay, arrives, leaves, nights, money } = figures;
  const comes = arrives
    ? `You arrive on ${say.date(isoOfDay(stay.from.day))} at ${say.clock(stay.from.clockH)}`
    : "You start here";
  const goes = leaves && arrives ? `, leave on ${say.date(isoOfDay(stay.to.day))} at ${say.clock(stay.to.clockH)}` : "";
  const spent = [
    money.food > 0 ? `${say.money(money.food)} for food` : "",
    money.parcel > 0 ? `${say.money(money.parcel)} for the box` : "",
    money.beds > 0 ? `${say.money(money.beds)} for ${nights === 1 ? "the night" : `${nights} nights`}` : "",
    money.rides > 0 ? `${say.money(money.rides)} for rides` : "",
  ].filter((part) => part !== "");
  return `${comes}${goes}.${spent.length > 0 ? ` You spend ${spent.join(", ")}.` : ""}`;
}

/** Somebody joins or goes home here: the party is the same all through a plan, so the rest becomes one of its own. */
function FromHere({ plan, name, legIndex }: { plan: Plan; name: string; legIndex: number }) {
  const [busy, setBusy] = useState(false);
  return (
    <p className="mt-2 mb-0">
      Does someone join or leave here?{" "}
      <button
        className="btn"
        disabled={busy}
        onClick={() => {
          setBusy(true);
          void keepRest(plan, legIndex, name).finally(() => setBusy(false));
        }}
      >
        Plan the rest as a variant
      </button>
    </p>
  );
}
