/** Breaks the code of some stages, one place after the other, and sees whether a test fails. Not part of `npm test`: it takes long. */
import { install, run } from "./lib.mjs";

await install();
const only = process.argv.slice(2);
process.exit(await run("npx", ["stryker", "run", ...(only.length > 0 ? ["--mutate", only.join(",")] : [])]));
