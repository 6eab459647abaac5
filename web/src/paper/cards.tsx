/** Cards for a pocket, one a leg or one a day: cut out of the page along their edges. */
import type { ReactNode } from "react";
import { rulesAhead, type CalendarDay, type Carry, type LegResult } from "@gepack/core";
import { weekdayDate } from "../units/date.ts";
import { firstName, spoken, stopName, waterName } from "../words/names.ts";
import { placeWords, type PaperFacts } from "./facts.ts";

export function LegCards({ facts }: { facts: PaperFacts }) {
  return (
    <div className="cards">
      {facts.legs.map((leg) => (
        <LegCard key={leg.index} facts={facts} leg={leg} />
      ))}
    </div>
  );
}

/** What is ahead, so many of it. */
const MOST_AHEAD = 3;

function LegCard({ facts, leg }: { facts: PaperFacts; leg: LegResult }) {
  const { plan, result, say, who } = facts;
  const row = leg.hikers[who]!;
  const carry = row.carries[row.largestCarry];
  const heights = heightsOf(facts, leg.fromNode, leg.toNode);
  const cautions = result.checks.filter(
    ({ legIndex, severity, hikerId }) =>
      legIndex === leg.index && severity !== "note" && (hikerId === undefined || hikerId === row.hikerId),
  ).length;
  const ahead = rulesAhead(plan, result, leg).filter(
    ({ kind, rule }) => kind === "hazard" || kind === "animals" || rule !== undefined,
  );
  return (
    <article className="card">
      <div className="top">
        <span>
          Leg {leg.index + 1}
          {plan.hikers.length > 1 && `, ${firstName(facts.hiker)}`}
        </span>
        <span>
          {say.date(leg.startDate)} – {say.date(leg.endDate)}
        </span>
      </div>
      <div className="way" dir="auto">
        {stopName(plan, leg.fromStopId)} → {stopName(plan, leg.toStopId)}
      </div>
      <dl>
        <Row name="distance">
          {say.distance(leg.distanceM)}, {say.days(leg.dayCount)}
        </Row>
        <Row name="climb">
          ↑ {say.height(leg.climbM)} ↓ {say.height(leg.descentM)}
        </Row>
        {heights && <Row name="heights">{heights}</Row>}
        <Row name="pack">
          {say.kg(row.startKg)}, on arrival {say.kg(row.endKg)}
        </Row>
        <Row name="food">{say.kg(row.food.startKg)}</Row>
        <Row name="per day">{say.kcal(row.energy.totalKcal)}</Row>
        {row.fuel.startKg > 0 && <Row name="fuel">{say.g(1000 * row.fuel.startKg)}</Row>}
        {carry && carry.litres > 0 && (
          <Row name="longest carry">
            {say.L(carry.litres)}, {say.distance(carry.distanceM)} from {fillWords(carry, leg, facts)}
          </Row>
        )}
        <Row name="nights, days">
          {say.C(leg.coldNightC)}, {say.C(leg.hotDayC)}
        </Row>
        {leg.snowM > 0 && <Row name="on snow">{say.distance(leg.snowM)}</Row>}
        {ahead.slice(0, MOST_AHEAD).map(({ name, kind, rule, fromM }) => (
          <Row key={`${name} ${fromM}`} name={spoken(rule ?? kind)}>
            {name}
          </Row>
        ))}
        {cautions > 0 && <Row name="cautions">{cautions}: see the sheet</Row>}
      </dl>
      <Notes />
    </article>
  );
}

export function DayCards({ facts }: { facts: PaperFacts }) {
  return (
    <div className="cards">
      {facts.days
        .filter(({ rests }) => !rests)
        .map((day) => (
          <DayCard key={day.date} facts={facts} day={day} />
        ))}
    </div>
  );
}

function DayCard({ facts, day }: { facts: PaperFacts; day: CalendarDay }) {
  const { plan, result, say, who } = facts;
  const { cellM } = result.profile;
  const leg = result.legs[day.legIndex]!;
  const [fromNode, toNode] = [Math.round(day.fromM / cellM), Math.round(day.toM / cellM)];
  const fills = result.legs.flatMap((one) =>
    one.hikers[who]!.carries.filter(
      ({ fromNode: node, litres }) => node >= fromNode && node < toNode && litres > 0,
    ).map((carry) => ({ carry, leg: one })),
  );
  const heights = heightsOf(facts, fromNode, toNode);
  return (
    <article className="card">
      <div className="top">
        <span>Day {day.tripDay}</span>
        <span>{weekdayDate(day.date)}</span>
      </div>
      <div className="way" dir="auto">
        {placeWords(day, facts)}
      </div>
      <dl>
        <Row name="distance">{say.distance(day.toM - day.fromM)}</Row>
        <Row name="climb">
          ↑ {say.height(day.climbM)} ↓ {say.height(day.descentM)}
        </Row>
        <Row name="from – to">
          {say.distance(day.fromM)} – {say.distance(day.toM)}
        </Row>
        {heights && <Row name="heights">{heights}</Row>}
        <Row name="walking">
          {say.clock(day.leavesH)} – {say.clock(day.arrivesH)}, {say.hours(day.walkH)}
        </Row>
        {fills.length === 0 && <Row name="water">{day.dry ? "none: use what you carry" : "use what you carry"}</Row>}
        {fills.map(({ carry, leg: of }) => (
          <Row key={carry.fromNode} name={say.distance(carry.fromNode * cellM)}>
            {say.L(carry.litres)} from {fillWords(carry, of, facts)}
            {carry.dryCamps > 0 && ", dry camp"}
          </Row>
        ))}
        {day.dinnerM !== undefined && <Row name="dinner">at {say.distance(day.dinnerM)}, then on to camp</Row>}
        <Row name={day.night === "camp" && day.dry ? "dry night" : "night"}>
          {day.night === "bed" || day.night === "stop" ? "in town, low " : "low "}
          {say.C(day.coldNightC)}
          {result.profile.hasHeights && `, ${say.height(day.heightM)}`}
        </Row>
        <Row name="leg">
          {leg.index + 1}, to {stopName(plan, leg.toStopId)}
        </Row>
      </dl>
      <Notes />
    </article>
  );
}

function fillWords(carry: Carry, leg: LegResult, { plan }: PaperFacts): string {
  if (carry.fromSourceId === undefined && carry.fromNode === leg.fromNode) return stopName(plan, leg.fromStopId);
  return waterName(carry.fromSourceId, plan);
}

/** Lowest to highest; nothing where the track tells none. */
function heightsOf({ result: { profile }, say }: PaperFacts, fromNode: number, toNode: number): string | undefined {
  if (!profile.hasHeights) return undefined;
  let [low, high] = [Infinity, -Infinity];
  for (let node = fromNode; node <= toNode; node++) {
    low = Math.min(low, profile.heightM[node]!);
    high = Math.max(high, profile.heightM[node]!);
  }
  return `${say.height(low)} – ${say.height(high)}`;
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt>{name}</dt>
      <dd dir="auto">{children}</dd>
    </>
  );
}

function Notes() {
  return (
    <div className="notes">
      <span>weather</span>
      <span>area</span>
      <span>total</span>
    </div>
  );
}
