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
    ssr: true,
    outDir,
    target: "es2022",
    rollupOptions: {
      input: { bench: join(ROOT, "bench", "bench.ts"), formats: join(ROOT, "bench", "formats.ts") },
      output: { entryFileNames: "[name].mjs" },
    },
  },
  ssr: { noExternal: true },
});
let code = 0;
for (const name of ["bench", "formats"]) code ||= await run("node", ["--expose-gc", join(outDir, `${name}.mjs`)]);
rmSync(outDir, { recursive: true });
process.exit(code || (await run("node", ["scripts/benchBrowser.mjs"])));
