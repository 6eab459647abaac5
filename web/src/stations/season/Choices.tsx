/** The kind of year that is planned for, and the night that the kit is judged by. */
import type { Plan } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { Pick } from "../../ui/Pick.tsx";

type Climate = Plan["climate"];

/** Fields of the climate that are a choice in words: what each is called, and what its options are. */
const CHOICES = [
  {
    key: "snowYear",
    label: "Snow year",
    options: [
      ["low", "low snow"],
      ["usual", "usual snow"],
      ["high", "high snow"],
    ],
  },
  {
    key: "warmth",
    label: "Warm or cold year",
    options: [
      ["cold", "cold"],
      ["usual", "usual warmth"],
      ["warm", "warm"],
    ],
  },
  {
    key: "wetness",
    label: "Wet or dry year",
    options: [
      ["dry", "dry"],
      ["usual", "usual rain"],
      ["wet", "wet"],
    ],
  },
] as const;

const SNOW_BY = [
  ["degree-day", "by the season"],
  ["by-hand", "only your stretches"],
] as const;

const NIGHT_BY = [
  ["one-in-ten", "coldest night in ten"],
  ["coldest-of-all", "coldest night of the whole leg, one hike in ten"],
] as const;

export function Choices({ climate }: { climate: Climate }) {
  const set = (label: string, fields: Partial<Climate>): void =>
    void edit(label, (draft) => void Object.assign(draft.climate, fields));
  return (
    <>
      <span className="flex flex-wrap items-center gap-1.5">
        Plan for
        {CHOICES.map(({ key, label, options }) => (
          <Pick
            bare
            key={key}
            label={label}
            value={climate[key]}
            options={options as readonly (readonly [string, string])[]}
            onPick={(value) => set(`${label}: ${options.find(([id]) => id === value)![1]}`, { [key]: value })}
          />
        ))}
      </span>
      <span className="flex max-w-full flex-wrap items-center gap-1.5">
        Snow cover from{" "}
        <Pick
          bare
          label="Snow cover from"
          value={climate.snowBy}
          options={SNOW_BY}
          onPick={(snowBy) => set(`Snow cover ${SNOW_BY.find(([id]) => id === snowBy)![1]}`, { snowBy })}
        />
      </span>
      <span className="flex max-w-full flex-wrap items-center gap-1.5">
        Kit must handle{" "}
        <Pick
          bare
          label="Night your kit must handle"
          value={climate.nightBy}
          options={NIGHT_BY}
          onPick={(nightBy) => set(`Kit must handle ${NIGHT_BY.find(([id]) => id === nightBy)![1]}`, { nightBy })}
        />
      </span>
    </>
  );
}
