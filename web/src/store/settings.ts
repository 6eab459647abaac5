/** What is remembered of the hiker's choices on this device, apart from any plan. */
import { LEVER_TARGETS, type LeverTarget, type OwnWord } from "@gepack/core";
import { create } from "zustand";
import { readSetting, writeSetting } from "../data/plans.ts";

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
  found: [],
}));

export async function readSettings(): Promise<void> {
  const names = [
    "theme",
    "welcomed",
    "ownWords",
    "mapOpen",
    "mapShade",
    "planeShows",
    "paperSize",
    "leverTarget",
    "found",
  ];
  const [theme, welcomed, ownWords, mapOpen, mapShade, planeShows, paperSize, leverTarget, found] = await Promise.all(
    names.map(readSetting),
  );
  useSettings.setState({
    theme: (theme as Theme | undefined) ?? "system",
    welcomed: welcomed === "yes",
    ownWords: wordsIn(ownWords),
    mapOpen: mapOpen === "yes",
    mapShade: mapShade === "leg" ? "leg" : "height",
    planeShows: planeShows ?? "",
    paperSize: paperSize ?? "",
    leverTarget: LEVER_TARGETS.find((one) => one === leverTarget) ?? "heaviest",
    found: found?.split("\n") ?? [],
  });
}

/** What is kept may be damaged. */
function wordsIn(kept: string | undefined): OwnWord[] {
  try {
    const words = JSON.parse(kept ?? "[]") as unknown;
    if (!Array.isArray(words)) return [];
    return words.filter(
      (one: Partial<OwnWord> | null) => typeof one?.word === "string" && typeof one.kind === "string",
    );
  } catch {
    return [];
  }
}

export function setOwnWords(ownWords: readonly OwnWord[]): void {
  useSettings.setState({ ownWords });
  void writeSetting("ownWords", JSON.stringify(ownWords)).catch(() => {});
}

export function showMap(mapOpen: boolean): void {
  useSettings.setState({ mapOpen });
  void writeSetting("mapOpen", mapOpen ? "yes" : "no").catch(() => {});
}

export function shadeMap(mapShade: MapShade): void {
  useSettings.setState({ mapShade });
  void writeSetting("mapShade", mapShade).catch(() => {});
}

export function showOnPlane(planeShows: string): void {
  useSettings.setState({ planeShows });
  void writeSetting("planeShows", planeShows).catch(() => {});
}

export function choosePaperSize(paperSize: string): void {
  useSettings.setState({ paperSize });
  void writeSetting("paperSize", paperSize).catch(() => {});
}

const MOST_FOUND = 8;

export function rememberFound(id: string): void {
  const found = [id, ...useSettings.getState().found.filter((one) => one !== id)].slice(0, MOST_FOUND);
  useSettings.setState({ found });
  void writeSetting("found", found.join("\n")).catch(() => {});
}

export function chooseLeverTarget(leverTarget: LeverTarget): void {
  useSettings.setState({ leverTarget });
  void writeSetting("leverTarget", leverTarget).catch(() => {});
}

export function welcome(): void {
  useSettings.setState({ welcomed: true });
  void writeSetting("welcomed", "yes").catch(() => {});
}

export function chooseTheme(theme: Theme): void {
  useSettings.setState({ theme });
  void writeSetting("theme", theme).catch(() => {});
}
