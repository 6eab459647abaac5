/** Measures the code as it ships: bundled by the builder of the application, since a loader's wrappers would be measured with it. */
import { rmSync } from "node:fs";
import { join } from "node:path";
import { install, ROOT, run } from "./lib.mjs";

await install();
const { build } = await import("vite");
const outDir = join(ROOT, "bench", "dist");
await build({
  root: ROOT,
  configFile: false,
  logLevel: "error",
  build: {
    ssr: "bench/bench.ts",
    outDir,
    target: "es2022",
    rollupOptions: { output: { entryFileNames: "bench.mjs" } },
  },
  ssr: { noExternal: true },
});
const core = await run("node", ["--expose-gc", join(outDir, "bench.mjs")]);
rmSync(outDir, { recursive: true });
const browser = core === 0 ? await run("node", ["scripts/benchBrowser.mjs"]) : core;
process.exit(browser);
