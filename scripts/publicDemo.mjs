import { run } from "./lib.mjs";

process.exit(await run("node", ["--import", "tsx", "demo/publish.ts"]));
