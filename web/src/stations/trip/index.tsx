/** Setup in parts: the trip and its hikers, the rules of a day, the models, the power. */
import { useEffect, useState } from "react";
import { Tabs } from "radix-ui";
import type { Plan, PlanResult } from "@gepack/core";
import { dayMonth } from "../units/quantity.ts";
import { CHECK_STATION, checkSentence, mendSentence, SEVERITY_WORD } from "../words/checks.ts";
import { Days } from "./setup/Days.tsx";
import { HikerForm } from "./setup/HikerForm.tsx";
import { Models } from "./setup/Models.tsx";
import { PowerForm } from "./setup/PowerForm.tsx";
import { TripForm, UnitsForm } from "./setup/TripForm.tsx";
import { Weather } from "./setup/Weather.tsx";
import { StationGate } from "./StationGate.tsx";

const PARTS = [
  ["trip", "Trip and hikers"],
  ["days", "Days"],
  ["models", "Models"],
  ["power", "Power"],
] as const;
type PartId = (typeof PARTS)[number][0];

export default function Setup() {
  return <StationGate>{(plan, result) => <SetupParts plan={plan} result={result} />}</StationGate>;
}

function SetupParts({ plan, result }: { plan: Plan; result: PlanResult }) {
  const [part, setPart] = useState<PartId>(partOfLocation);
  useEffect(() => {
    const back = (): void => setPart(partOfLocation());
    window.addEventListener("popstate", back);
    return () => window.removeEventListener("popstate", back);
  }, []);
  const open = (next: string): void => {
    const url = new URL(window.location.href);
    url.searchParams.set("part", next);
    window.history.replaceState(window.history.state, "", url);
    setPart(partOfLocation());
  };
  return (
    <Tabs.Root value={part} onValueChange={open} className="mx-auto max-w-[1240px] bg-paper px-[18px] py-4">
      <Tabs.List aria-label="Parts of the setup" className="mb-4 flex flex-wrap gap-1 border-b border-rule">
        {PARTS.map(([id, name]) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className="border-b-3 border-transparent px-3 py-1.5 text-base font-medium text-muted hover:text-ink data-[state=active]:border-pine data-[state=active]:font-bold data-[state=active]:text-ink"
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value="trip" className="grid grid-cols-[minmax(0,1fr)] gap-6">
        <OpenChecks plan={plan} result={result} />
        <TripForm plan={plan} finish={dayMonth(result.finishDate)} days={result.walkDays + result.zeroDays} />
        <HikerForm plan={plan} />
        <UnitsForm plan={plan} />
        <Weather plan={plan} result={result} />
      </Tabs.Content>
      <Tabs.Content value="days" className="grid grid-cols-[minmax(0,1fr)] gap-6">
        <Days plan={plan} result={result} />
      </Tabs.Content>
      <Tabs.Content value="models" className="grid grid-cols-[minmax(0,1fr)] gap-6">
        <Models plan={plan} result={result} />
      </Tabs.Content>
      <Tabs.Content value="power" className="grid grid-cols-[minmax(0,1fr)] gap-6">
        <PowerForm plan={plan} result={result} />
      </Tabs.Content>
    </Tabs.Root>
  );
}

function partOfLocation(): PartId {
  const asked = new URLSearchParams(window.location.search).get("part");
  return PARTS.find(([id]) => id === asked)?.[0] ?? "trip";
}

function OpenChecks({ plan, result }: { plan: Plan; result: PlanResult }) {
  const open = result.checks.filter((check) => CHECK_STATION[check.code] === "setup");
  if (open.length === 0) return null;
  return (
    <div className="grid gap-1.5">
      {open.map((check, i) => (
        <p key={i} className="m-0 rounded bg-caution-wash px-3 py-2 text-sm">
          <b className="text-caution">{SEVERITY_WORD[check.severity]}.</b>{" "}
          {check.hikerId && plan.hikers.length > 1 && (
            <b>{plan.hikers.find((hiker) => hiker.id === check.hikerId)?.name.split(" ")[0]}: </b>
          )}
          {checkSentence(check, plan)} <span className="text-muted">{mendSentence(check)}</span>
        </p>
      ))}
    </div>
  );
}
