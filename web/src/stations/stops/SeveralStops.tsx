/** Many stops at once, in one step: what they offer, and whether one goes there. */
import { useState } from "react";
import { SERVICES, type Plan, type Stop } from "@gepack/core";
import { changeStops, type StopsChange } from "../../edit/stops.ts";
import { Pick } from "../../ui/Pick.tsx";
import { counted } from "../../words/counted.ts";
import { spoken } from "../trail/cells.tsx";

const WHICH = {
  all: ["all stops", () => true],
  passed: ["those passed by", ({ use }: Stop) => !use],
  used: ["those used", ({ use }: Stop) => use],
} as const satisfies Record<string, readonly [string, (stop: Stop) => boolean]>;
type Which = keyof typeof WHICH;

const OFFERS = [["", "what they offer now"], ...SERVICES.map((one) => [one, spoken(one)] as const)] as const;
const USES = [
  ["", "used or not as now"],
  ["use", "used"],
  ["pass", "passed by"],
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
        label="Which"
        value={which}
        options={(Object.keys(WHICH) as Which[]).map((key) => [key, WHICH[key][0]] as const)}
        onPick={setWhich}
      />
      <Pick label="They offer as well" value={offers} options={OFFERS} onPick={setOffers} />
      <Pick label="and are" value={use} options={USES} onPick={setUse} />
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
