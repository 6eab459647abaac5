/** How far a figure may be trusted: its spread, and what that comes from, as one short bar. */
import { TRUST_GROUPS, type Explained, type Plan, type Trust, type TrustGroup } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { TRUST_WORDS } from "../../words/odds.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

const FILLS: Record<TrustGroup, string> = {
  model: "var(--muted)",
  person: "var(--food)",
  weather: "var(--kit)",
  sources: "var(--water)",
};
/** Figures that are given of by another. */
const EXPLAINED_BY: Partial<Record<Explained, Explained>> = { energy: "food" };

interface Props {
  plan: Plan;
  who: number;
  legIndex: number;
  figure: Explained;
}

export function TrustBar({ plan, who, legIndex, figure }: Props) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop } = usePlanRun<{ done: number; trust?: Trust[] }>(plan);
  const explained = EXPLAINED_BY[figure] ?? figure;
  const one = rows.at(-1)?.trust?.find((row) => row.legIndex === legIndex && row.figure === explained);
  if (WITHOUT.has(explained)) return null;
  if (fraction !== undefined)
    return <Progress label="Trying models and hikes" fraction={rows.at(-1)?.done ?? 0} onStop={stop} />;
  if (!one)
    return (
      <button
        className="btn mt-2 min-h-[24px]! px-2! py-0!"
        onClick={() =>
          start(
            () => 1,
            (now, onRow, signal) => calculator().trustOf({ plan: now, who }, onRow, signal),
          )
        }
      >
        How sure is this?
      </button>
    );
  const groups = TRUST_GROUPS.filter((group) => one.shares[group] >= 0.005);
  return (
    <section aria-label="How sure this is" className="mt-2 text-sm" data-testid="trust">
      <p className="m-0">
        {one.sd === 0
          ? "Nothing we vary changes this figure."
          : `Likely error: ${spreadWords(one, say)}. It comes from`}
      </p>
      {groups.length > 0 && (
        <>
          <div className="mt-1 flex h-3 overflow-hidden rounded-sm" aria-hidden="true">
            {groups.map((group) => (
              <span key={group} style={{ width: `${100 * one.shares[group]}%`, background: FILLS[group] }} />
            ))}
          </div>
          <ul className="m-0 mt-1 flex list-none flex-wrap gap-x-3 p-0 text-xs">
            {groups.map((group) => (
              <li key={group} className="flex items-center gap-1">
                <span className="inline-block h-2.5 w-2.5" style={{ background: FILLS[group] }} aria-hidden="true" />
                {TRUST_WORDS[group]} {say.percent(100 * one.shares[group])}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

const WITHOUT: ReadonlySet<Explained> = new Set(["base", "speed", "pad", "battery"]);

function spreadWords({ sd, unit }: Trust, say: Say): string {
  switch (unit) {
    case "kg":
      return `± ${say.kg(sd, 1)}`;
    case "L":
      return `± ${say.L(sd, 1)}`;
    case "g":
      return `± ${say.g(sd)}`;
    case "K":
      return `± ${say.degrees(sd)}`;
    case "days":
      return `± ${say.number(sd, 1)} days`;
  }
}
