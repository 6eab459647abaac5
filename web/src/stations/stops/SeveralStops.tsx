/** Many stops at once, in one step: what they offer, and whether one goes there. */
import { useState } from "react";
import { SERVICES, type Plan, type Stop } from "@gepack/core";
import { changeStops, type StopsChange } from "../../edit/stops.ts";
import { Pick } from "../../ui/Pick.tsx";
import { counted } from "../../words/counted.ts";
import { spoken } from "../../words/names.ts";

const WHICH = {
  all: ["all stops", () => true],
  passed: ["skipped stops", ({ use }: Stop) => !use],
  used: ["used stops", ({ use }: Stop) => use],
} as const satisfies Record<string, readonly [string, (stop: Stop) => boolean]>;
type Which = keyof typeof WHICH;

const OFFERS = [["", "leave as is"], ...SERVICES.map((one) => [one, spoken(one)] as const)] as const;
const USES = [
  ["", "leave as is"],
  ["use", "used"],
  ["pass", "skip them"],
] as const;

export function SeveralStops({ plan }: { plan: Plan }) {
  const [which, setWhich] = useState<Which>("all");
  const [offers, setOffers] = useState<(typeof OFFERS)[number][0]>("");
  const [use, setUse] = useState<(typeof USES)[number][0]>("");
  const meant = plan.stops.filter((stop) => WHICH[which][1](stop));
  const change: StopsChange = {
    ...(offers === "" ? {} : { offers }),
    ...(use === "" ? {} : { use: use === "use" }),
  };
  const isNothing = meant.length === 0 || Object.keys(change).length === 0;
  return (
    <div className="is-form flex flex-wrap items-end gap-3 text-sm">
      <Pick
        label="Stops"
        value={which}
        options={(Object.keys(WHICH) as Which[]).map((key) => [key, WHICH[key][0]] as const)}
        onPick={setWhich}
      />
      <Pick label="and also offer" value={offers} options={OFFERS} onPick={setOffers} />
      <Pick label="and set to" value={use} options={USES} onPick={setUse} />
      <button
        className="btn"
        disabled={isNothing}
        onClick={() =>
          changeStops(
            meant.map(({ id }) => id),
            change,
          )
        }
      >
        Change {counted(meant.length, "stop")}
      </button>
    </div>
  );
}
