/** A day of the year, typed where it stands. */
import { useId, useState } from "react";
import { format, parseISO } from "date-fns";
import { parseDate } from "../units/date.ts";
import { useTyped } from "./useTyped.ts";

interface Props {
  label: string;
  /** As MM-DD. */
  value: string;
  onCommit: (monthDay: string) => void;
}

export function SmallDate({ label, value, onCommit }: Props) {
  const id = useId();
  // Of a leap year, so that 29 February is a day.
  const shown = format(parseISO(`2028-${value}`), "d MMM");
  const { text, type, rest } = useTyped(shown);
  const [error, setError] = useState<string>();
  const commit = (): void => {
    const read = parseDate(text, "2028-01-01");
    if ("error" in read) return setError(read.error);
    setError(undefined);
    rest(format(parseISO(read.iso), "d MMM"));
    if (read.iso.slice(5) !== value) onCommit(read.iso.slice(5));
  };
  return (
    <label className="block text-sm font-semibold">
      {label}
      <input
        className="field mt-1 font-normal"
        value={text}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        onChange={(event) => type(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === "Enter" && commit()}
      />
      {error !== undefined && (
        <span id={`${id}-error`} role="alert" className="block text-xs font-normal text-danger">
          {error}
        </span>
      )}
    </label>
  );
}
