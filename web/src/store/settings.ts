/** What is remembered of the hiker's choices on this device, apart from any plan. */
import { create } from "zustand";
import { readSetting, writeSetting } from "../data/plans.ts";

export type Theme = "light" | "dark" | "system";

export interface Settings {
  theme: Theme;
  /** The welcome of the demo was put away. */
  welcomed: boolean;
}

export const useSettings = create<Settings>(() => ({ theme: "system", welcomed: true }));

export async function readSettings(): Promise<void> {
  const [theme, welcomed] = await Promise.all([readSetting("theme"), readSetting("welcomed")]);
  useSettings.setState({ theme: (theme as Theme | undefined) ?? "system", welcomed: welcomed === "yes" });
}

export function welcome(): void {
  useSettings.setState({ welcomed: true });
  void writeSetting("welcomed", "yes").catch(() => {});
}

export function chooseTheme(theme: Theme): void {
  useSettings.setState({ theme });
  void writeSetting("theme", theme).catch(() => {});
}
