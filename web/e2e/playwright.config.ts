import { defineConfig } from "@playwright/test";
import { chromiumPath } from "../../scripts/lib.mjs";

const PORT = 4398;

export default defineConfig({
  testDir: ".",
  outputDir: "../../test-results/end-to-end",
  timeout: 120_000,
  expect: { timeout: 30_000 },
  fullyParallel: true,
  workers: 2,
  // A machine of strangers may stall for half a minute, which is no fault of the program; what needed a second try
  // is named in the last lines. Everywhere else the first try counts.
  retries: process.env["CI"] === "true" ? 1 : 0,
  forbidOnly: true,
  reporter: [["line"], ["json"]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: "off",
    // It fetches every part on the first visit; the tests that are about it let it.
    serviceWorkers: "block",
    launchOptions: {
      executablePath: chromiumPath(),
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
  webServer: {
    command: "node ../../scripts/serve.mjs",
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}/api/health`,
    reuseExistingServer: false,
  },
});
