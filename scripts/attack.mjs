/** `npm run attack [-- --seed=7 --only=server --short]`: files, undo, server and browser; see docs/reliability.md. */
import { build, chromium, install, run } from "./lib.mjs";

await install();
await chromium();
await build();
process.exit(await run("node", ["--import", "tsx", "web/attack/attack.ts", ...process.argv.slice(2)]));
