/** The kit station as an attack uses it: a mass is set, a mass is read. */
import type { Page } from "@playwright/test";

export const KEPT = "Saved on this device";

const massOf = (page: Page, piece: string) => page.getByLabel(`Weight of ${piece}`).first();

export function station(page: Page, name: string): Promise<void> {
  return page.getByRole("navigation", { name: "Pages" }).getByRole("link", { name }).click();
}

export async function openKit(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/kit/`);
  await massOf(page, "Backpack").waitFor({ timeout: 60_000 });
}

export async function setMass(page: Page, piece: string, grams: number): Promise<void> {
  await massOf(page, piece).fill(String(grams));
  await massOf(page, piece).press("Enter");
}

export async function readMass(page: Page, piece: string): Promise<number> {
  return Number((await massOf(page, piece).inputValue()).replaceAll(",", ""));
}
