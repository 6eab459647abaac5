/** Trip in parts: the trip and its people, models, units; and what waits for a station of its own. */
import { useEffect, useState, type ComponentType } from "react";
import { Tabs } from "radix-ui";
import { CheckList } from "../../ui/CheckList.tsx";
import { checkStation, distinct } from "../../words/checks/index.ts";
import { stationOf } from "../registry.ts";
import type { ScreenProps } from "../Screen.tsx";
import { Need } from "./Need.tsx";
import { Models } from "./Models.tsx";
import { People } from "./People.tsx";
import { Trip } from "./Trip.tsx";
import { Units } from "./Units.tsx";

const PARTS = stationOf("trip").parts ?? [];
const SCREENS: Record<string, ComponentType<ScreenProps>> = {
  trip: TripAndPeople,
  models: Models,
  units: Units,
  need: Need,
};

function TripAndPeople({ plan, result }: ScreenProps) {
  const open = distinct(
    result.checks.filter((check) => checkStation(check) === "trip"),
    plan,
  );
  return (
    <>
      <CheckList checks={open} plan={plan} result={result} withPlace />
      <Trip plan={plan} result={result} />
      <People plan={plan} />
    </>
  );
}

export default function TripStation({ plan, result }: ScreenProps) {
  const [part, setPart] = useState(partOfLocation);
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
      <Tabs.List aria-label="Parts of Setup" className="mb-4 flex flex-wrap gap-1 border-b border-rule">
        {PARTS.map(({ id, name }) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className="border-b-3 border-transparent px-3 py-1.5 text-base font-medium text-muted hover:text-ink data-[state=active]:border-pine data-[state=active]:font-bold data-[state=active]:text-ink"
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {PARTS.map(({ id }) => {
        const Part = SCREENS[id];
        return (
          <Tabs.Content key={id} value={id} className="grid grid-cols-[minmax(0,1fr)] gap-6">
            {Part && <Part plan={plan} result={result} />}
          </Tabs.Content>
        );
      })}
    </Tabs.Root>
  );
}

function partOfLocation(): string {
  const wantedPart = new URLSearchParams(window.location.search).get("part");
  return PARTS.find(({ id }) => id === wantedPart)?.id ?? PARTS[0]!.id;
}
