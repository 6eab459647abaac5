/** `npm start`: installs, builds, serves the production build with the demo opened, prints the address. */
import { build, install, run } from "./lib.mjs";

await install();
await build();
// The child gets the terminal's Ctrl-C itself; this process only waits for it to end.
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => {});
process.exit(await run("node", ["scripts/serve.mjs"]));
