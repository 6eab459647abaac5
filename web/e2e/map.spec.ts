/** The map of Trail and the sheet for paper. */
import type { Page } from "@playwright/test";
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

const map = (page: Page) => page.getByRole("region", { name: "Map" });

/** A file of map tiles with one tile, that of the whole world. */
function pmtilesOf(tileType: 1 | 2, tile: Uint8Array, attribution: string): Buffer {
  const metadata = Buffer.from(JSON.stringify({ attribution }));
  const varint = (value: number): number[] =>
    value < 128 ? [value] : [(value & 127) | 128, ...varint(Math.floor(value / 128))];
  // One entry: its number, a run of one, its length, and where it starts, plus one.
  const directory = Buffer.from([1, 0, 1, ...varint(tile.length), 1].flatMap((v, i) => (i === 3 ? v : [v])));
  const header = Buffer.alloc(127);
  header.write("PMTiles", 0);
  header[7] = 3;
  const afterDirectory = 127 + directory.length;
  const tileAt = afterDirectory + metadata.length;
  const lengths = [127, directory.length, afterDirectory, metadata.length, tileAt, 0, tileAt, tile.length, 1, 1, 1];
  lengths.forEach((value, i) => header.writeBigUInt64LE(BigInt(value), 8 + 8 * i));
  header.set([1, 1, 1, tileType, 0, 0], 96);
  [-1_800_000_000, -850_000_000, 1_800_000_000, 850_000_000].forEach((e7, i) => header.writeInt32LE(e7, 102 + 4 * i));
  return Buffer.concat([header, directory, metadata, Buffer.from(tile)]);
}

/** A vector tile of one square in a layer, as its protocol buffers stand on the wire. */
function squareTile(layer: string): Uint8Array {
  const field = (tag: number, bytes: number[]): number[] => [(tag << 3) | 2, bytes.length, ...bytes];
  const [far, back] = [
    [0x80, 0x40],
    [0xff, 0x3f],
  ];
  const geometry = [9, 0, 0, 26, ...far, 0, 0, ...far, ...back, 0, 15];
  const feature = [0x18, 3, ...field(4, geometry)];
  const name = [...Buffer.from(layer)];
  return Uint8Array.from(field(3, [0x78, 2, ...field(1, name), ...field(2, feature), 0x28, 0x80, 0x20]));
}

/** The colour of the map in its lower right, where no line runs. */
const cornerOf = (page: Page): Promise<string> =>
  page.getByTestId("map").evaluate((element) => {
    for (const canvas of element.querySelectorAll("canvas")) {
      const [red, green, blue, alpha] = canvas
        .getContext("2d")!
        .getImageData(canvas.width - 30, canvas.height - 30, 1, 1).data;
      if (alpha! > 0) return `${red} ${green} ${blue}`;
    }
    return "none";
  });

test("the map is remembered, says its scale, and shares what is selected with table and Line", async ({ page }) => {
  await openDemo(page, "/trail/?leg=6");
  await page.getByRole("button", { name: "Show map" }).click();
  await expect(map(page).getByText(/^\d+ km$/)).toBeVisible();
  await expect(map(page).getByRole("img", { name: "North is up" })).toBeVisible();
  const list = map(page).getByRole("list", { name: "Places on the leg" });
  await list.getByRole("button", { name: /Hask trough/ }).click();
  await expect(list.getByRole("button", { name: /Hask trough/ })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByRole("radio", { name: /Water/ })).toBeChecked();
  await expect(page.getByTestId("map")).toBeInViewport();
  const scale = await map(page)
    .getByText(/^\d+ km$/)
    .innerText();
  await map(page).getByRole("button", { name: "Leg 6" }).click();
  await expect(map(page).getByText(/^\d+ km$/)).not.toHaveText(scale);
  await map(page).getByLabel("Colour the line by").selectOption("leg");
  await expect(map(page).getByText("odd legs")).toBeVisible();
  await page.reload();
  await expect(map(page).getByLabel("Colour the line by")).toHaveValue("leg");
  await page.getByRole("button", { name: "Hide map" }).click();
  await expect(page.getByRole("button", { name: "Show map" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("button", { name: "Show map" })).toBeVisible();
});

test("a click on the line selects its leg; keys move and zoom", async ({ page }) => {
  const stores = [40.25, 40.55].map((lat, i) => `<wpt lat="${lat}" lon="-150"><name>Store ${i + 1}</name></wpt>`);
  await beginTrip(page, asFile("north.gpx", gpxOf(900, stores.join(""))));
  await expect(page.locator("#leg-row-2")).toContainText("Finish");
  await station(page, "Trail");
  await page.getByRole("button", { name: "Show map" }).click();
  await expect(map(page).getByText(/^\d+ km$/)).toBeVisible();
  const box = (await page.getByTestId("map").boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2 + 12);
  await expect(page.getByRole("option", { name: /^Leg 2/ })).toHaveAttribute("aria-selected", "true");
  const before = await map(page)
    .getByText(/^\d+ km$/)
    .innerText();
  await page.getByTestId("map").press("+");
  await expect(map(page).getByText(/^\d+ k?m$/)).not.toHaveText(before);
});

test("a base map of one’s own, of vectors and of images, stays on the device until it is taken away", async ({
  page,
}) => {
  await openDemo(page, "/trail/");
  await page.getByRole("button", { name: "Show map" }).click();
  await expect(map(page).getByText(/^\d+ km$/)).toBeVisible();
  expect(await cornerOf(page)).toBe("none");
  const offer = (name: string, buffer: Buffer): Promise<void> =>
    page.getByTestId("base-map-file").setInputFiles({ name, mimeType: "application/octet-stream", buffer });
  await offer("notes.pmtiles", Buffer.from("no map at all, but long enough to be looked into ".repeat(20)));
  await expect(page.getByText("notes.pmtiles can’t be used as a base map.")).toBeVisible();
  await offer("sea.pmtiles", pmtilesOf(1, squareTile("water"), "<b>Made up</b> for a test"));
  await expect(map(page).getByText("Base map: sea.pmtiles, Made up for a test")).toBeVisible();
  // Quarter water on the sheet: bluish.
  await expect.poll(() => cornerOf(page)).toMatch(/^(19|20)\d 2[12]\d 2[2-4]\d$/);
  await page.reload();
  await expect(map(page).getByText("Base map: sea.pmtiles", { exact: false })).toBeVisible();
  await page.getByRole("button", { name: "Remove base map" }).click();
  await expect.poll(() => cornerOf(page)).toBe("none");
  const png = await page.evaluate(async () => {
    const canvas = Object.assign(document.createElement("canvas"), { width: 256, height: 256 });
    const context = canvas.getContext("2d")!;
    context.fillStyle = "rgb(200, 30, 60)";
    context.fillRect(0, 0, 256, 256);
    const blob = await new Promise<Blob>((done) => canvas.toBlob((made) => done(made!), "image/png"));
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  await offer("red.pmtiles", pmtilesOf(2, Uint8Array.from(png), ""));
  await expect.poll(() => cornerOf(page)).toBe("200 30 60");
});

test("the camp and water sheet is printed alone, leg by leg", async ({ page }) => {
  await openDemo(page, "/trail/?leg=6");
  await page.getByRole("button", { name: "Camp and water sheet" }).click();
  const sheet = page.getByRole("dialog");
  await expect(sheet).toContainText("Leg 6: Hask Tank to Dry Fork");
  const rows = sheet.getByRole("table", { name: "Camps and water" }).getByRole("row");
  await expect(rows.filter({ hasText: "Halfway cache" })).toContainText("not counted on");
  await expect(rows.filter({ hasText: "☾" }).first()).toContainText("coldest in ten hikes");
  await page.emulateMedia({ media: "print" });
  await expect(page.getByTestId("line")).toBeHidden();
  await expect(rows.filter({ hasText: "Halfway cache" })).toBeVisible();
  await expect(sheet.getByRole("button", { name: "Print" })).toBeHidden();
  await page.emulateMedia({ media: "screen" });
  await sheet.getByRole("button", { name: "Next leg" }).click();
  await expect(sheet).toContainText("Leg 7: Dry Fork to");
});
