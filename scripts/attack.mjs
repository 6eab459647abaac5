/** `npm run attack [-- --seed=7 --only=server --short]`: files, undo, server, browser and a walk over every control; see docs/reliability.md. */
import { build, chromium, install, run } from "./lib.mjs";

await install();
await chromium();
await build();
const given = process.argv.slice(2);
const code = await run("node", ["--import", "tsx", "web/attack/attack.ts", ...given]);
// All controls of three trips; `npm test` walks a part of them.
const walks = !given.some((one) => one.startsWith("--only=") && one !== "--only=walk");
process.env.WALK = "whole";
const walked = walks ? await run("npx", ["playwright", "test", "--config", "web/e2e/playwright.config.ts", "walk"]) : 0;
process.exit(code || walked);
