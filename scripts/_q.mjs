import { served, CHROMIUM, CHROMIUM_ARGS } from "./lib.mjs";
import { chromium } from "@playwright/test";
import { execSync } from "node:child_process";
import { mkdtempSync, openSync, writeSync, closeSync, rmSync } from "node:fs";
const s = await served(4395);
const dir = mkdtempSync("/tmp/small-");
execSync(`mount -t tmpfs -o size=200m tmpfs ${dir}`);
const fill = () => {
  const fd = openSync(dir + "/filler", "a");
  const buf = Buffer.alloc(4096);
  try {
    for (;;) writeSync(fd, buf);
  } catch (e) {}
  closeSync(fd);
};
const GPX = `<gpx version="1.1"><trk><name>North walk</name><trkseg>${Array.from({ length: 900 }, (_, i) => `<trkpt lat="${40 + i * 0.0009}" lon="-150"><ele>${300 + (i % 90)}</ele></trkpt>`).join("")}</trkseg></trk></gpx>`;
try {
  const c = await chromium.launchPersistentContext(dir, { executablePath: CHROMIUM, args: [...CHROMIUM_ARGS] });
  const p = await c.newPage();
  p.on("console", (m) => console.log("console", m.text()));
  p.on("pageerror", (m) => console.log("pe", m.message));
  await p.goto(s.url + "/kit/");
  await p.getByText("Kept on this device").waitFor();
  const m = p.getByLabel("Mass of Backpack").first();
  await m.fill("1234");
  await m.press("Enter");
  await p.waitForTimeout(1000);
  console.log(await p.locator("[role=status]").allInnerTexts(), await m.inputValue());
  fill();
  const t = setInterval(fill, 20);
  await p.waitForTimeout(500);
  if (process.argv[2] === "undo") {
    await p.getByRole("button", { name: "Undo" }).click();
  } else {
    await p.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Trail" }).click();
    await p
      .getByTestId("gpx-file")
      .setInputFiles({ name: "north.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from(GPX) });
    await p
      .getByTestId("preview")
      .getByRole("button", { name: process.argv[2] === "track" ? "Use it for this plan" : "Begin a trip on it" })
      .click();
  }
  for (let i = 0; i < 5; i++) {
    await p.waitForTimeout(1000);
    console.log(
      await p.locator("[role=status]").allInnerTexts(),
      await p.locator("h1").allInnerTexts(),
      await p.locator("[data-sonner-toast]").allInnerTexts(),
      await p.locator("[role=alert]").allInnerTexts(),
    );
  }
  await p.screenshot({ path: "/tmp/full.png" });
  clearInterval(t);
  rmSync(dir + "/filler");
  await p.goto(s.url + "/kit/");
  await p.waitForTimeout(2500);
  console.log(
    await p.locator("[role=status]").allInnerTexts(),
    await p.locator("h1").allInnerTexts(),
    await m.inputValue(),
    await p.locator("[role=alert]").allInnerTexts(),
  );
  await c.close();
} finally {
  execSync(`umount -l ${dir}`);
  s.stop();
}
