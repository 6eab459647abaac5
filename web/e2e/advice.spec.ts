/** A kit list asked about: sent as a page, marked without a network, the marks back beside the items; weights in words. */
import { expect, openDemo, test } from "./fixtures.ts";

test("a friend marks the list in a page of its own, and the marks come back", async ({ page, context }) => {
  await openDemo(page, "/kit/?leg=9");
  await page.getByText("Advice of a friend").click();
  const [saved] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save page" }).click(),
  ]);
  const friend = await context.newPage();
  await friend.goto(`file://${await saved.path()}`);
  await friend.setContent(await (await import("node:fs/promises")).readFile(await saved.path(), "utf8"));
  await friend.getByLabel("Your name").fill("Ines");
  const row = friend.getByRole("row", { name: /^Backpack/ });
  await row.getByLabel("Mark", { exact: true }).selectOption("change");
  await row.getByLabel("Remark on Backpack").fill("there are lighter ones");
  const [marks] = await Promise.all([
    friend.waitForEvent("download"),
    friend.getByRole("button", { name: "Save my marks" }).click(),
  ]);
  await page.getByLabel("Marks of a friend").setInputFiles({
    name: "kit-marks.json",
    mimeType: "application/json",
    buffer: await (await import("node:fs/promises")).readFile(await marks.path()),
  });
  await friend.close();
  await expect(page.getByText("1 mark added.")).toBeVisible();
  const list = page.getByRole("list", { name: "Marks on your kit" });
  await expect(list).toContainText("swap Backpack");
  await expect(list).toContainText("there are lighter ones");
  await expect(page.locator('[data-piece="Backpack"]').first()).toContainText("swap?");
  await page.reload();
  await expect(page.locator('[data-piece="Backpack"]').first()).toContainText("swap?");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator('[data-piece="Backpack"]').first()).not.toContainText("swap?");
});

test("the head of Kit tells base and pack for any days and litres, in any unit, and remembers them", async ({
  page,
}) => {
  await openDemo(page, "/kit/?leg=9");
  const head = page.getByTestId("kit-head");
  const totalOf = async (): Promise<number> =>
    Number(/Base [\d.]+ kg\s*([\d.]+) kg/.exec((await head.innerText()).replace(/\n/g, " "))![1]);
  const before = await totalOf();
  await head.getByLabel("Water carried").fill("3");
  await head.getByLabel("Water carried").press("Enter");
  await expect.poll(totalOf).toBeCloseTo(before + 2, 1);
  await head.getByLabel("Weights in").selectOption("lb-oz");
  await expect(head).toContainText(/Base \d+ lb \d+\.\d oz/);
  await page.reload();
  await expect(head).toContainText(/Base \d+ lb \d+\.\d oz/);
  await expect(head.getByLabel("Water carried")).toHaveValue("3.0");
  // Groups have their share of the base weight.
  await expect(page.getByRole("region", { name: "Sleep", exact: true }).getByRole("heading")).toContainText(
    /, \d+ %; /,
  );
});
