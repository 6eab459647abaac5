/** Sheets of a plan: its overview, every day, every place, camps and water of a leg, what is done at a stop. */
import { dayNumber, placeRows, type LegResult } from "@gepack/core";
import { longDate, weekdayDate } from "../units/date.ts";
import { WATER_ASK } from "../words/cautions.ts";
import { checkSentence } from "../words/checks/index.ts";
import { firstName, stopName } from "../words/names.ts";
import { placeWords, type PaperFacts } from "./facts.ts";
import { LEAVING_CAUTION, leavingWords } from "./leaving.ts";
import { waterLines } from "./waterSheet.ts";
import { toPx } from "../units/quantity.ts";

export function Overview({ facts }: { facts: PaperFacts }) {
  const { plan, result, say, who, legs, hiker } = facts;
  const days = dayNumber(result.finishDate)! - dayNumber(plan.trip.startDate)! + 1;
  const graver = result.checks.filter(({ severity }) => severity === "blocker");
  const lengthM = result.legs.reduce((sum, { distanceM }) => sum + distanceM, 0);
  return (
    <>
      <h2 dir="auto">{plan.trip.name}</h2>
      <p>
        {plan.hikers.map(({ name }) => name).join(" and ")}. {longDate(plan.trip.startDate)} to{" "}
        {longDate(result.finishDate)}: {say.days(days)}, {say.distance(lengthM)}
        {plan.trip.fictional && ". Fictional: this trail doesn’t exist"}.
      </p>
      <ProfileLine facts={facts} />
      <div className="wide">
        <table aria-label="Legs">
          <thead>
            <tr>
              <th>leg</th>
              <th>from</th>
              <th>to</th>
              <th className="num">dist.</th>
              <th className="num">up</th>
              <th className="num">leaves</th>
              <th className="num">arrives</th>
              <th className="num">food</th>
              <th className="num">carry</th>
              <th className="num">low</th>
              <th className="num">pack, {firstName(hiker)}</th>
            </tr>
          </thead>
          <tbody>
            {legs.map((leg) => {
              const row = leg.hikers[who]!;
              return (
                <tr key={leg.index}>
                  <td>{leg.index + 1}</td>
                  <td dir="auto">{stopName(plan, leg.fromStopId)}</td>
                  <td dir="auto">{stopName(plan, leg.toStopId)}</td>
                  <td className="num">{say.distance(leg.distanceM)}</td>
                  <td className="num">{say.height(leg.climbM)}</td>
                  <td className="num">{say.date(leg.startDate)}</td>
                  <td className="num">{say.date(leg.endDate)}</td>
                  <td className="num">{say.kg(row.food.startKg)}</td>
                  <td className="num">{say.L(row.carries[row.largestCarry]?.litres ?? 0)}</td>
                  <td className="num">{say.C(leg.coldNightC)}</td>
                  <td className="num">{say.kg(row.startKg)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {graver.length > 0 && (
        <section className="part">
          <h3>Open issues</h3>
          <ul>
            {graver.map((check, i) => (
              <li key={i}>
                <span className="text">
                  {check.legIndex !== undefined && `Leg ${check.legIndex + 1}: `}
                  {checkSentence(check, plan)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="small" style={{ marginTop: "3mm" }}>
        A plan, not a forecast. Water sources can be dry, snow can stay longer, and the hiker may be days early or late.
        Local rules, land managers, rescue services and medical advice come first.
      </p>
    </>
  );
}

const PROFILE_POINTS = 400;

/** Heights along the way, stops marked. */
function ProfileLine({ facts: { result } }: { facts: PaperFacts }) {
  const { profile, legs } = result;
  if (!profile.hasHeights) return null;
  const heights = Array.from(
    { length: PROFILE_POINTS + 1 },
    (_, i) => profile.heightM[Math.round((i / PROFILE_POINTS) * profile.cellCount)]!,
  );
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const y = (height: number): number => 100 - (100 * (height - low)) / Math.max(1, high - low);
  return (
    <svg
      viewBox={`0 -4 ${PROFILE_POINTS} 108`}
      preserveAspectRatio="none"
      role="img"
      aria-label="Elevation along the trail"
    >
      {legs.slice(1).map(({ index, fromNode }) => {
        const at = (PROFILE_POINTS * fromNode) / profile.cellCount;
        return <path key={index} d={`M${at} -4V104`} stroke="#999" vectorEffect="non-scaling-stroke" />;
      })}
      <path
        d={`M${heights.map((height, i) => `${i} ${toPx(y(height))}`).join("L")}`}
        fill="none"
        stroke="#000"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

export function DayTable({ facts }: { facts: PaperFacts }) {
  const { days, say } = facts;
  return (
    <>
      <h2>Where you are by date</h2>
      <table aria-label="Days">
        <thead>
          <tr>
            <th className="num">day</th>
            <th>date</th>
            <th className="num">from</th>
            <th className="num">to</th>
            <th className="num">dist.</th>
            <th className="num">up</th>
            <th>night</th>
            <th className="num">low</th>
          </tr>
        </thead>
        <tbody>
          {days.map((day) => (
            <tr key={day.date}>
              <td className="num">{day.tripDay}</td>
              <td>{weekdayDate(day.date)}</td>
              <td className="num">{day.rests ? "" : say.distance(day.fromM)}</td>
              <td className="num">{say.distance(day.toM)}</td>
              <td className="num">{day.rests ? "rest" : say.distance(day.toM - day.fromM)}</td>
              <td className="num">{day.rests ? "" : say.height(day.climbM)}</td>
              <td dir="auto">{placeWords(day, facts)}</td>
              <td className="num">{say.C(day.coldNightC)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

export function MileTable({ facts }: { facts: PaperFacts }) {
  const { plan, result, say, legs } = facts;
  const rows = placeRows(plan, result).filter(
    ({ isWalked, alongM }) => isWalked && legs.some(({ fromM, toM }) => alongM >= fromM && alongM <= toM),
  );
  return (
    <>
      <h2>Mile table</h2>
      <table aria-label="Places">
        <thead>
          <tr>
            <th className="num">at</th>
            <th className="num">to next</th>
            <th>place</th>
            <th>what</th>
            <th className="num">elevation</th>
            <th className="num">off trail</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              <td className="num">{say.distance(row.alongM)}</td>
              <td className="num">{rows[i + 1] ? say.distance(rows[i + 1]!.alongM - row.alongM) : ""}</td>
              <td dir="auto">{row.name}</td>
              <td dir="auto">{[row.kind, row.detail.replaceAll(" ", ", "), row.note].filter(Boolean).join(", ")}</td>
              <td className="num">{Number.isNaN(row.heightM) ? "" : say.height(row.heightM)}</td>
              <td className="num">{row.offTrailM > 0 ? say.height(row.offTrailM) : ""}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

export function WaterSheet({ facts, leg }: { facts: PaperFacts; leg: LegResult }) {
  const { plan, result, say } = facts;
  return (
    <>
      <h2 dir="auto">
        Leg {leg.index + 1}: {stopName(plan, leg.fromStopId)} to {stopName(plan, leg.toStopId)}
      </h2>
      <p className="small">
        Camps and water. {say.distance(leg.distanceM)}, {say.date(leg.startDate)} to {say.date(leg.endDate)},{" "}
        {say.height(leg.climbM)} up.
      </p>
      <table aria-label="Camps and water">
        <thead>
          <tr>
            <th className="tick" />
            <th className="num">from the start</th>
            <th>place</th>
            <th>what</th>
            <th className="num">elevation</th>
            <th className="num">next water in</th>
            <th className="num">leave with, {plan.hikers.map(firstName).join(" / ")}</th>
          </tr>
        </thead>
        <tbody>
          {waterLines(plan, result, leg.index).map(({ key, atM, name, what, heightM, toWaterM, fill, night }) => (
            <tr key={key} className={night ? "night" : ""}>
              <td className="tick">{night ? "☾" : "□"}</td>
              <td className="num">{say.distance(atM)}</td>
              <td dir="auto">{name}</td>
              <td dir="auto">{what}</td>
              <td className="num">{Number.isNaN(heightM) ? "" : say.height(heightM)}</td>
              <td className="num">{toWaterM === undefined ? "" : say.distance(toWaterM)}</td>
              <td className="num">{fill}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small">{WATER_ASK}</p>
    </>
  );
}

export function LeavingPaper({ facts, leg }: { facts: PaperFacts; leg: LegResult }) {
  const { plan, result, say, who } = facts;
  const shopping = facts.shopping.find(({ legIndex }) => legIndex === leg.index);
  const bag = facts.bags.find(({ legIndex }) => legIndex === leg.index);
  const { head, title, summary, parts } = leavingWords({ plan, result, legIndex: leg.index, who, shopping, bag, say });
  return (
    <>
      <p className="small">
        {head}, {say.date(leg.startDate)}, leg {leg.index + 1}
      </p>
      <h2 dir="auto">{title}</h2>
      <p>{summary}</p>
      {parts.map(({ name, figure, lines }) => (
        <section key={name} className="part">
          <h3>
            <span>{name}</span>
            <span>{figure}</span>
          </h3>
          <ul>
            {lines.map(({ key, text, small, figure: amount, ticked }) => (
              <li key={key}>
                {ticked && <span>□</span>}
                <span className="text" dir="auto">
                  {text} <span className="small">{small}</span>
                </span>
                <span>{amount}</span>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <p className="small" style={{ marginTop: "2mm" }}>
        {LEAVING_CAUTION}
      </p>
    </>
  );
}
