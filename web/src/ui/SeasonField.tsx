/** A season typed where it stands: `1 Jun to 15 Oct`, or all year. Wrong text says why and changes nothing. */
import { useId, useState, type KeyboardEvent } from "react";
import { parseSeason, seasonWords, type Season } from "../units/date.ts";
import { useTyped } from "./useTyped.ts";

interface Props {
  label: string;
  /** Days of the year, as MM-DD. */
  from: string | undefined;
  to: string | undefined;
  onCommit: (season: Season) => void;
}

export function SeasonField({ label, from, to, onCommit }: Props) {
  const id = useId();
  const shown = seasonWords([from, to]);
  const { text, type, rest } = useTyped(shown);
  const [error, setError] = useState<string>();
  const give = (up?: string): void => {
    rest(up);
    setError(undefined);
  };
  const commit = (): void => {
    if (text === shown) return give();
    const read = parseSeason(text);
    if ("error" in read) return setError(read.error);
    give(seasonWords(read.season));
    if (seasonWords(read.season) !== shown) onCommit(read.season);
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") give();
  };
  return (
    <span className="inline-block">
      <input
        className="field min-h-[24px]! w-[124px] px-1! py-0! text-sm!"
        aria-label={label}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        value={text}
        onChange={(event) => type(event.target.value)}
        onBlur={commit}
        onKeyDown={keys}
      />
      {error !== undefined && (
        <span id={`${id}-error`} role="alert" className="block max-w-[220px] text-xs whitespace-normal text-danger">
          {error}
        </span>
      )}
    </span>
  );
}
