/** Parts of the stop's panel: groups and rows of fields, hours, days of the week, ticks. */
import type { ReactNode } from "react";
import { WEEKDAYS } from "@gepack/core";
import { ClockField } from "../../ui/ClockField.tsx";
import { weekdayWord } from "../../words/stops.ts";
import { spoken } from "../../words/names.ts";

export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="my-2 border-t border-rule pt-2">
      <h3 className="m-0 mb-1 text-sm font-bold">{title}</h3>
      <div className="grid gap-1">{children}</div>
    </div>
  );
}

export function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,110px)_1fr] items-center gap-x-2">
      <span className="text-xs text-muted">{label}</span>
      <span>{children}</span>
    </div>
  );
}

interface HoursProps {
  name: string;
  opensH: number | undefined;
  closesH: number | undefined;
  onOpens: (hour: number | undefined) => void;
  onCloses: (hour: number | undefined) => void;
}

export function Hours({ name, opensH, closesH, onOpens, onCloses }: HoursProps) {
  return (
    <Row label="hours">
      <span className="inline-flex items-start gap-1">
        <ClockField label={`Opening hour of ${name}`} value={opensH} onCommit={onOpens} /> to{" "}
        <ClockField label={`Closing hour of ${name}`} value={closesH} onCommit={onCloses} />
      </span>
    </Row>
  );
}

type Weekday = (typeof WEEKDAYS)[number];

export function Days({
  name,
  shut,
  onChange,
}: {
  name: string;
  shut: readonly Weekday[];
  onChange: (shut: Weekday[]) => void;
}) {
  return (
    <Row label="open on">
      <span className="inline-flex" role="group" aria-label={`Days on which ${name} is open`}>
        {WEEKDAYS.map((day) => {
          const open = !shut.includes(day);
          return (
            <button
              key={day}
              aria-pressed={open}
              aria-label={`${name} is open on ${weekdayWord(day)}`}
              className={`border border-rule px-1 text-xs ${open ? "bg-pine-wash" : "bg-sheet text-muted line-through"}`}
              onClick={() => onChange(WEEKDAYS.filter((one) => (one === day ? open : shut.includes(one))))}
            >
              {weekdayWord(day).slice(0, 2)}
            </button>
          );
        })}
      </span>
    </Row>
  );
}

interface TicksProps<T extends string> {
  name: string;
  all: readonly T[];
  on: readonly T[];
  onChange: (on: T[]) => void;
}

export function Ticks<T extends string>({ name, all, on, onChange }: TicksProps<T>) {
  return (
    <span className="flex flex-wrap gap-x-3 gap-y-0.5" role="group" aria-label={name}>
      {all.map((one) => (
        <label key={one} className="inline-flex items-center gap-1 text-xs font-normal">
          <input
            type="checkbox"
            checked={on.includes(one)}
            onChange={(event) =>
              onChange(all.filter((each) => (each === one ? event.target.checked : on.includes(each))))
            }
          />
          {spoken(one)}
        </label>
      ))}
    </span>
  );
}
