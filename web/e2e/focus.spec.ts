/** The keyboard keeps its place: after an edit, after what was opened is closed, after what takes a while. */
import type { Locator, Page } from "@playwright/test";
import { expect, openDemo, test } from "./fixtures.ts";

async function press(page: Page, what: Locator): Promise<void> {
  await what.focus();
  await page.keyboard.press("Enter");
}

test("a row that is removed leaves the keyboard on the next, undo brings the row back", async ({ page }) => {
  await openDemo(page, "/power/");
  const rows = page.getByRole("button", { name: /^Remove / });
  const count = await rows.count();
  await press(page, rows.nth(1));
  await expect(rows).toHaveCount(count - 1);
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press("Control+z");
  await expect(rows).toHaveCount(count);
});

test("a button that becomes another, and a day that is kept, leave it where it was", async ({ page }) => {
  await openDemo(page, "/days/?leg=9");
  await press(page, page.getByRole("button", { name: "Pin this night", exact: true }));
  await expect(page.getByRole("button", { name: "Pin this night", exact: true })).toHaveCount(0);
  await expect(page.getByRole("complementary").locator(":focus")).toHaveCount(1);
  await page.goto("/log/");
  await press(page, page.getByRole("button", { name: "Save day" }));
  await expect(page.getByTestId("today")).toContainText("Day 2,");
  await expect(page.getByRole("main").locator(":focus")).toHaveCount(1);
});

test("a dialog gives it back to what opened it, and so does the palette", async ({ page }) => {
  await openDemo(page, "/kit/");
  for (const name of ["Add item", "How this page works"]) {
    const opener = page.getByRole("button", { name });
    await press(page, opener);
    await expect(page.getByRole("dialog")).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(opener).toBeFocused();
  }
  await page.keyboard.press("Control+k");
  await expect(page.getByRole("dialog", { name: "Find anything" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "How this page works" })).toBeFocused();
});

test("a search takes it back when it has ended", async ({ page }) => {
  await openDemo(page, "/stops/?leg=9");
  const search = page.getByRole("button", { name: "Find the best set" });
  await press(page, search);
  await expect(page.getByText(/Tried .* combinations of/)).toBeVisible();
  await expect(search).toBeFocused();
});
