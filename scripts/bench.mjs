/** Measures the code as it ships: bundled, since a loader's wrappers would be measured with it. */
import { rmSync } from "node:fs";
import { join } from "node:path";
import { install, ROOT, run } from "./lib.mjs";

await install();
const { build } = await import("esbuild");
const outfile = join(ROOT, "bench", "bench.out.mjs");
await build({ entryPoints: [join(ROOT, "bench", "bench.ts")], outfile, bundle: true, platform: "node", format: "esm" });
const code = await run("node", ["--expose-gc", outfile]);
rmSync(outfile);
process.exit(code);
