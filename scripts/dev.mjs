import { install, must, run } from "./lib.mjs";

await install();
await must("node", ["scripts/publicDemo.mjs"]);
process.exit(await run("npx", ["astro", "dev", "--root", "web"]));
