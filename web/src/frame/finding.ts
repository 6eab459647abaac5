/** What the palette can find: every station, part, leg, stop, place, piece and food, and what can be done; and which fits best. */
import { defaultFilter } from "cmdk";
import type { Plan, PlanResult } from "@gepack/core";
import { STATIONS, type Station, type StationId } from "../stations/registry.ts";
import { stopName } from "../words/names.ts";
import { plain } from "./plain.ts";

export interface Found {
  id: string;
  label: string;
  kind: string;
  /** A station's address, with what it is to show. */
  to?: { station: StationId; part?: string; legIndex?: number; look?: { kind: LookKind; id: string } };
  /** Or an action by its name. */
  action?: string;
}

type LookKind = "stops" | "sources" | "camps" | "stretches" | "kit";

export function findable(plan: Plan, result: PlanResult): Found[] {
  const { legs, profile } = result;
  const legAt = (node: number): number =>
    Math.max(
      0,
      legs.findIndex(({ toNode }) => node <= toNode),
    );
  const legOfM = (trackM: number): number => {
    const node = Math.round(trackM / profile.cellM);
    return legAt(profile.reversed ? profile.cellCount - node : node);
  };
  const places = (
    kind: LookKind,
    word: string,
    rows: readonly { id: string; name: string; trackM: number }[],
  ): Found[] =>
    rows.map(({ id, name, trackM }) => ({
      id: `${kind} ${id}`,
      label: name,
      kind: word,
      to: { station: "trail", legIndex: legOfM(trackM), look: { kind, id } },
    }));
  return [
    ...STATIONS.flatMap((station): Found[] => {
      const { id, name } = station;
      const { parts = [] }: Station = station;
      return [
        { id: `station ${id}`, label: name, kind: "page", to: { station: id } },
        ...parts.map((part) => ({
          id: `part ${part.id}`,
          label: `${name}: ${part.name}`,
          kind: "settings",
          to: { station: id, part: part.id },
        })),
      ];
    }),
    ...ACTIONS.map(([action, label]): Found => ({ id: `action ${action}`, label, kind: "action", action })),
    ...legs.map((leg): Found => ({
      id: `leg ${leg.fromStopId} ${leg.toStopId}`,
      label: `${leg.index + 1}. ${stopName(plan, leg.fromStopId)} to ${stopName(plan, leg.toStopId)}`,
      kind: "leg",
      to: { station: "legs", legIndex: leg.index },
    })),
    ...plan.stops.map((stop): Found => ({
      id: `stop ${stop.id}`,
      label: stop.name,
      kind: stop.use ? "stop" : "stop, skipped",
      to: { station: "stops", look: { kind: "stops", id: stop.id } },
    })),
    ...plan.kit.map((piece): Found => ({
      id: `piece ${piece.id}`,
      label: piece.name,
      kind: piece.spans.length > 0 ? "item" : "item, on the shelf",
      to: { station: "kit", look: { kind: "kit", id: piece.id } },
    })),
    ...plan.foods.map((food): Found => ({
      id: `food ${food.id}`,
      label: food.name,
      kind: "food",
      to: { station: "food" },
    })),
    ...places("sources", "water", plan.sources),
    ...places("camps", "camp", plan.camps),
    ...places(
      "stretches",
      "stretch",
      plan.stretches.map(({ id, name, kind, fromM }) => ({ id, name: name || kind, trackM: fromM })),
    ),
  ];
}

export const ACTIONS = [
  ["undo", "Undo the last step"],
  ["redo", "Redo"],
  ["how", "How this page works"],
  ["keys", "Keyboard shortcuts"],
  ["words", "Glossary"],
  ["export", "Export plan file"],
  ["print", "Print or share"],
  ["examples", "Open an example"],
  ["begin", "Start your own trip"],
  ["light", "Light theme"],
  ["dark", "Dark theme"],
  ["night", "Night theme (red on black)"],
  ["whole", "Show the whole trail on the Line"],
] as const;
export type ActionName = (typeof ACTIONS)[number][0];

const MOST_SHOWN = 40;
/** What was chosen before is so much nearer. */
const RECENT_BONUS = 0.15;
/** Letters strewn over a name are no match beside a word that is there. */
const LEAST_SHARE = 0.1;

/** Best first; without a word what was chosen last, then stations and actions. */
export function bestOf(all: readonly Found[], typed: string, recent: readonly string[]): Found[] {
  const word = plain(typed.trim());
  const rank = (id: string): number => recent.indexOf(id);
  if (word === "") {
    const chosen = recent.flatMap((id) => all.find((one) => one.id === id) ?? []);
    const others = all.filter(({ id, kind }) => rank(id) < 0 && (kind === "station" || kind === "action"));
    return [...chosen, ...others].slice(0, MOST_SHOWN);
  }
  const scored = all
    .map((one, i) => {
      const score = defaultFilter(plain(one.label), word, [plain(one.kind)]);
      return { one, i, score: score > 0 && rank(one.id) >= 0 ? score + RECENT_BONUS : score };
    })
    .sort((a, b) => b.score - a.score || a.i - b.i);
  const least = LEAST_SHARE * (scored[0]?.score ?? 0);
  return scored
    .filter(({ score }) => score > 0 && score >= least)
    .slice(0, MOST_SHOWN)
    .map(({ one }) => one);
}
