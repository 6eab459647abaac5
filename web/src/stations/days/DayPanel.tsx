/** The selected day: what it is, where else it could end, what is held of it, its own hours, rest after it. */
import { Pin as PinIcon, PinOff } from "lucide-react";
import type { CalendarDay, Plan, PlanResult } from "@gepack/core";
import { letGo, moveNight, pinNight, restThere, setOwnHours, setPin } from "../../edit/pins.ts";
import { DateField } from "../../ui/DateField.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { OptionalNumber } from "../../ui/OptionalNumber.tsx";
import { sayIn } from "../../words/say.ts";
import { elsewhere } from "./elsewhere.ts";
import { NIGHT_WORDS, nightKind } from "../../words/nights.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  day: CalendarDay;
}

export function DayPanel({ plan, result, day }: Props) {
  const say = sayIn(plan);
  const { units } = plan.trip;
  const { profile } = result;
  const pin = plan.pins.find(({ id }) => id === day.pinId);
  const movable = day.night === "camp" || day.night === "bed";
  const own = plan.dayRules.ownHours.find(({ date }) => date === day.date)?.hoursH;
  return (
    <aside
      aria-label="Day"
      className="min-w-0 border-l border-rule pl-4 text-sm max-[999px]:border-l-0 max-[999px]:pl-0"
    >
      <h2 className="m-0 text-lg font-bold">
        {say.date(day.date)}, day {day.tripDay}
      </h2>
      <p className="mt-0.5 mb-2 text-muted">
        {day.rests
          ? "A rest day. "
          : `${say.distance(day.toM - day.fromM)}, ${say.height(day.climbM)} up, ${say.hours(day.walkH)} walking, ${say.clock(day.leavesH)} to ${say.clock(day.arrivesH)} local solar time. `}
        Night: {NIGHT_WORDS[nightKind(day)]}
        {day.place === undefined ? ` at ${say.distance(day.toM)}` : `, ${day.place}`}, {say.height(day.heightM)}, below{" "}
        {say.C(day.coldNightC)} one night in ten; {say.percent(100 * day.wetChance)} chance of rain.
      </p>
      {movable &&
        (pin ? (
          <div className="my-2 grid gap-2 border-t border-rule pt-2">
            <NameField label="Reason for the pin" value={pin.name} onCommit={(name) => setPin(pin, "name", { name })} />
            <DateField
              label="Fixed date (empty: any date)"
              value={pin.date ?? ""}
              near={day.date}
              onCommit={(iso) => setPin(pin, "date", { date: iso === "" ? undefined : iso })}
            />
            <FieldNumber
              path="pins.overtimeH"
              label="Extra hours allowed that day"
              value={pin.overtimeH}
              units={units}
              onCommit={(overtimeH) => setPin(pin, "extra hours", { overtimeH })}
            />
            <label className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={pin.bed}
                onChange={(event) =>
                  setPin(pin, event.target.checked ? "bed booked" : "no bed booked", { bed: event.target.checked })
                }
              />
              Bed booked here
            </label>
            <button className="btn" onClick={() => letGo(pin)}>
              <PinOff size={15} aria-hidden="true" /> Unpin
            </button>
          </div>
        ) : (
          <div className="my-2 flex flex-wrap gap-2 border-t border-rule pt-2">
            <button className="btn" onClick={() => pinNight(profile, day, {}, "Pin the night")}>
              <PinIcon size={15} aria-hidden="true" /> Pin this night
            </button>
            <button className="btn" onClick={() => pinNight(profile, day, { date: day.date }, "Pin night and date")}>
              Pin this night and date
            </button>
            <button className="btn" onClick={() => pinNight(profile, day, { date: day.date, bed: true }, "Bed booked")}>
              Bed booked here
            </button>
          </div>
        ))}
      {movable && !day.rests && <Elsewhere plan={plan} result={result} day={day} />}
      {day.night !== "end" && (
        <div className="my-2 flex flex-wrap gap-2 border-t border-rule pt-2">
          <button className="btn" onClick={() => restThere(result, plan, day, 1)}>
            Add a rest day here
          </button>
          <button className="btn" disabled={!day.rests} onClick={() => restThere(result, plan, day, -1)}>
            Remove this rest day
          </button>
        </div>
      )}
      {!day.rests && (
        <div className="my-2 border-t border-rule pt-2">
          <OptionalNumber
            path="dayRules.ownHours.hoursH"
            label={`Hours of ${say.date(day.date)}`}
            value={own}
            start={Math.max(1, day.walkH)}
            units={units}
            take="Set hours for this day…"
            drop="Use the usual hours"
            onChange={(hours) => setOwnHours(day.date, hours)}
          />
        </div>
      )}
      <p className="mt-2 mb-0 text-xs text-muted">
        A pin is kept if your hours allow it; if not, we say why. Times are local solar time, not your watch’s. Weather,
        fords and snow decide on the day: keep a spare day. Local rules and land managers come first.
      </p>
    </aside>
  );
}

/** Camps, stops and water before and behind the night, each to sleep at. */
function Elsewhere({ plan, result: { profile }, day }: Props) {
  const say = sayIn(plan);
  const listed = elsewhere(plan, profile, day);
  if (listed.length === 0) return null;
  return (
    <div className="my-2 border-t border-rule pt-2">
      <h3 className="m-0 mb-1 text-sm font-bold">Move this night</h3>
      <ul className="m-0 flex list-none flex-wrap gap-1.5 p-0">
        {listed.map(({ name, what, at }) => (
          <li key={`${what} ${name} ${at}`}>
            <button className="btn text-xs!" title={what} onClick={() => moveNight(plan, profile, day, at)}>
              {name}, {at < day.toM ? "−" : "+"}
              {say.distance(Math.abs(at - day.toM))}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
