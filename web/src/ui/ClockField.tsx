/** Hours of the day, typed where they stand: one that may be missing, or several. */
import { clocksWords, clockWords, parseClocks, parseMaybeClock } from "../units/clock.ts";
import { TypedText } from "./TypedText.tsx";

interface Props<T> {
  label: string;
  value: T;
  onCommit: (value: T) => void;
}

const words = (hours: number | undefined): string => (hours === undefined ? "" : clockWords(hours));

export function ClockField({ label, value, onCommit }: Props<number | undefined>) {
  return (
    <TypedText
      bare
      label={label}
      className="w-[58px]"
      placeholder="–"
      shown={words(value)}
      read={parseMaybeClock}
      show={words}
      onCommit={onCommit}
    />
  );
}

export function ClocksField({ label, value, onCommit }: Props<readonly number[]>) {
  return (
    <TypedText
      bare
      label={label}
      className="w-[150px]"
      placeholder="at any time"
      shown={clocksWords(value)}
      read={parseClocks}
      show={clocksWords}
      onCommit={onCommit}
    />
  );
}
