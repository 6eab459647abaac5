/** What is remembered of the hiker's choices on this device, apart from any plan. */
import type { OwnWord } from "@gepack/core";
import { create } from "zustand";
import { readSetting, writeSetting } from "../data/plans.ts";

export type Theme = "light" | "dark" | "system";

export interface Settings {
  theme: Theme;
  /** The welcome of the demo was put away. */
  welcomed: boolean;
  /** Words for kinds of places, added to those that are known. */
  ownWords: readonly OwnWord[];
}

export const useSettings = create<Settings>(() => ({ theme: "system", welcomed: true, ownWords: [] }));

export async function readSettings(): Promise<void> {
  const names = ["theme", "welcomed", "ownWords"];
  const [theme, welcomed, ownWords] = await Promise.all(names.map((name) => readSetting(name)));
  useSettings.setState({
    theme: (theme as Theme | undefined) ?? "system",
    welcomed: welcomed === "yes",
    ownWords: wordsIn(ownWords),
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

export function welcome(): void {
  useSettings.setState({ welcomed: true });
  void writeSetting("welcomed", "yes").catch(() => {});
}

export function chooseTheme(theme: Theme): void {
  useSettings.setState({ theme });
  void writeSetting("theme", theme).catch(() => {});
}
