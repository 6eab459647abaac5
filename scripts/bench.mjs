import { install, run } from "./lib.mjs";

await install();
process.exit(await run("node", ["--expose-gc", "--import", "tsx", "bench/bench.ts"]));
