/** A season typed where it stands: `1 Jun to 15 Oct`, or all year. */
import { parseSeason, seasonWords, type Season } from "../units/date.ts";
import { TypedText } from "./TypedText.tsx";

interface Props {
  label: string;
  /** Days of the year, as MM-DD. */
  from: string | undefined;
  to: string | undefined;
  onCommit: (season: Season) => void;
}

export function SeasonField({ label, from, to, onCommit }: Props) {
  return (
    <TypedText
      bare
      label={label}
      className="w-[124px]"
      shown={seasonWords([from, to])}
      read={parseSeason}
      show={seasonWords}
      onCommit={onCommit}
    />
  );
}
