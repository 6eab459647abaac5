/** A day, typed as hikers write one or picked from a month: never in the device's own order of day and month. */
import { format, parseISO } from "date-fns";
import { CalendarDays } from "lucide-react";
import { Popover } from "radix-ui";
import { lazy, Suspense, useId, useState, type KeyboardEvent } from "react";
import { useTyped } from "./useTyped.ts";
import { longDate, parseDate } from "../units/date.ts";
import { twoReadings } from "../units/quantity.ts";

const DayPicker = lazy(() => import("react-day-picker").then((module) => ({ default: module.DayPicker })));

interface Props {
  label: string;
  /** ISO date; empty for no day. */
  value: string;
  /** The year that is meant where none is typed. */
  near: string;
  required?: boolean;
  /** In a table: the label stands elsewhere on the screen. */
  bare?: boolean;
  /** An empty text where no day is wanted. */
  onCommit: (iso: string) => void;
}

export function DateField({ label, value, near, required, bare, onCommit }: Props) {
  const id = useId();
  const shown = value === "" ? "" : longDate(value);
  const { text, type, rest } = useTyped(shown);
  const [error, setError] = useState<string>();
  /** Both ways round, where day and month cannot be told apart. */
  const [readings, setReadings] = useState<readonly string[]>([]);
  const [open, setOpen] = useState(false);
  const give = (up?: string): void => {
    rest(up);
    setError(undefined);
    setReadings([]);
  };
  const take = (iso: string): void => {
    give(iso === "" ? "" : longDate(iso));
    if (iso !== value) onCommit(iso);
  };
  const commit = (): void => {
    if (text === shown) return give();
    if (text.trim() === "") return required ? setError("Enter a date.") : take("");
    const parsed = parseDate(text, value || near);
    if ("error" in parsed) return setError(parsed.error);
    if (parsed.or !== undefined) {
      setReadings([parsed.iso, parsed.or]);
      return setError(twoReadings(text));
    }
    take(parsed.iso);
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") give();
  };
  return (
    <div>
      <label htmlFor={id} className={bare ? "sr-only" : "block text-sm font-semibold"}>
        {label}
      </label>
      <span className={bare ? "flex gap-1" : "mt-1 flex gap-1"}>
        <input
          id={id}
          className={bare ? "field min-h-[24px]! w-[130px] px-1! py-0! text-sm!" : "field"}
          value={text}
          placeholder={required ? "3 May" : "any day"}
          aria-invalid={error !== undefined}
          aria-describedby={error ? `${id}-error` : undefined}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onKeyDown={keys}
        />
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger
            className={bare ? "btn min-h-[24px]! px-1! py-0!" : "btn px-2!"}
            aria-label={`${label}: pick a day`}
          >
            <CalendarDays size={15} aria-hidden="true" />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content align="end" sideOffset={4} className="menu p-3!">
              <Suspense fallback="…">
                <DayPicker
                  mode="single"
                  className="day-picker"
                  weekStartsOn={1}
                  defaultMonth={parseISO(value || near)}
                  selected={value === "" ? undefined : parseISO(value)}
                  onSelect={(date) => {
                    if (date) take(format(date, "yyyy-MM-dd"));
                    setOpen(false);
                  }}
                />
              </Suspense>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </span>
      {error && (
        <span id={`${id}-error`} role="alert" className="mt-0.5 block text-xs text-danger">
          {error}
          {readings.map((iso) => (
            <button
              key={iso}
              type="button"
              className="btn mt-1 mr-1 min-h-[24px]! px-1.5! py-0! text-xs!"
              onClick={() => take(iso)}
            >
              {longDate(iso)}
            </button>
          ))}
        </span>
      )}
    </div>
  );
}
