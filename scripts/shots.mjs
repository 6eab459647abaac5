/** Pictures of the main views from the demo data, 1280×800, for the README. Serves the build on its own port. */
import { spawn } from "node:child_process";
import { join } from "node:path";
import { chromium as playwright } from "@playwright/test";
import { build, chromium, install, ROOT } from "./lib.mjs";

const VIEWS = {
  legs: "/?leg=9&why=start",
  kit: "/kit/?leg=9",
  trail: "/trail/?leg=6",
  setup: "/setup/",
  models: "/setup/?part=models",
  days: "/setup/?part=days",
  power: "/setup/?part=power",
};

await install();
await build();
await chromium();
const port = 4399;
const server = spawn("node", ["scripts/serve.mjs"], {
  cwd: ROOT,
  env: { ...process.env, PORT: String(port) },
  stdio: ["ignore", "pipe", "inherit"],
});
await new Promise((resolve) => server.stdout.once("data", resolve));
const into = process.argv[2] ?? join(ROOT, "docs", "screenshots");
const browser = await playwright.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu", "--disable-quic"],
});
try {
  for (const [name, path] of Object.entries(VIEWS)) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    page.on("console", (message) => message.type() === "error" && console.error(`${name}: ${message.text()}`));
    page.on("pageerror", (error) => console.error(`${name}: ${error.message}`));
    await page.goto(`http://127.0.0.1:${port}${path}`);
    await page.getByTestId("line").waitFor();
    const look = page.getByRole("button", { name: "Look around the demo" });
    if (name !== "legs" && (await look.isVisible())) await look.click();
    if (name === "models") await page.getByText("All compared.").waitFor({ timeout: 60_000 });
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(into, `${name}.png`) });
    await page.close();
  }
} finally {
  await browser.close();
  server.kill();
}
