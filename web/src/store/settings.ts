/** What is remembered of the hiker's choices on this device, apart from any plan. */
import { LEVER_TARGETS, type LeverTarget, type OwnWord } from "@gepack/core";
import { create } from "zustand";
import { readSetting, writeSetting } from "../data/plans.ts";
import { KIT_UNITS, type KitUnit } from "../units/kitMass.ts";

export type Theme = "light" | "dark" | "night" | "system";

export interface Settings {
  theme: Theme;
  /** The welcome of the demo was put away. */
  welcomed: boolean;
  /** Words for kinds of places, added to those that are known. */
  ownWords: readonly OwnWord[];
  /** The map of Trail is open, and what its line is shaded by. */
  mapOpen: boolean;
  mapShade: MapShade;
  /** The quantity that the plane of the season shows. */
  planeShows: string;
  /** What papers are printed on. */
  paperSize: string;
  /** What levers are to make less. */
  leverTarget: LeverTarget;
  /** In which units a new trip is planned; empty until somebody has chosen. */
  newTripUnits: "" | "metric" | "imperial";
  /** In what the lists of kit are told, and with how many days of food and litres a pack is told. */
  kitUnit: KitUnit;
  kitDays: number;
  kitLitres: number;
  /** What was found last in the palette, newest first. */
  found: readonly string[];
}

export type MapShade = "height" | "leg";

export const useSettings = create<Settings>(() => ({
  theme: "system",
  welcomed: true,
  ownWords: [],
  mapOpen: false,
  mapShade: "height",
  planeShows: "",
  paperSize: "",
  leverTarget: "heaviest",
  newTripUnits: "",
  kitUnit: "plan",
  kitDays: 3,
  kitLitres: 1,
  found: [],
}));

/** How each is kept, as a text, and read again. */
const KEPT: {
  [Key in keyof Settings]: { read: (text: string) => Settings[Key]; write?: (value: Settings[Key]) => string };
} = {
  theme: { read: (text) => text as Theme },
  welcomed: yesOrNo(),
  ownWords: { read: wordsIn, write: JSON.stringify },
  mapOpen: yesOrNo(),
  mapShade: { read: (text) => (text === "leg" ? "leg" : "height") },
  planeShows: { read: String },
  paperSize: { read: String },
  leverTarget: { read: (text) => LEVER_TARGETS.find((one) => one === text) ?? "heaviest" },
  newTripUnits: { read: (text) => (text === "metric" || text === "imperial" ? text : "") },
  kitUnit: { read: (text) => KIT_UNITS.find((unit) => unit === text) ?? "plan" },
  kitDays: { read: (text) => Number(text) || 0 },
  kitLitres: { read: (text) => Number(text) || 0 },
  found: { read: (text) => text.split("\n"), write: (found) => found.join("\n") },
};

function yesOrNo(): { read: (text: string) => boolean; write: (value: boolean) => string } {
  return { read: (text) => text === "yes", write: (value) => (value ? "yes" : "no") };
}

export async function readSettings(): Promise<void> {
  const keys = Object.keys(KEPT) as (keyof Settings)[];
  const texts = await Promise.all(keys.map(readSetting));
  const read = keys.flatMap((key, i) => (texts[i] === undefined ? [] : [[key, KEPT[key].read(texts[i])] as const]));
  useSettings.setState({ welcomed: false, ...Object.fromEntries(read) });
}

/** Chosen, and remembered on this device. */
export function remember<Key extends keyof Settings>(key: Key, value: Settings[Key]): void {
  useSettings.setState({ [key]: value } as Pick<Settings, Key>);
  const { write = String } = KEPT[key];
  void writeSetting(key, write(value)).catch(() => {});
}

/** What is kept may be damaged. */
function wordsIn(kept: string): OwnWord[] {
  try {
    const words = JSON.parse(kept) as unknown;
    if (!Array.isArray(words)) return [];
    return words.filter(
      (one: Partial<OwnWord> | null) => typeof one?.word === "string" && typeof one.kind === "string",
    );
  } catch {
    return [];
  }
}

const MOST_FOUND = 8;

export function rememberFound(id: string): void {
  remember("found", [id, ...useSettings.getState().found.filter((one) => one !== id)].slice(0, MOST_FOUND));
}

export const welcome = (): void => remember("welcomed", true);
