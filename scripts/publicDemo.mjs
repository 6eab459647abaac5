/** Puts the demo's two files where the application fetches them on the first visit. */
import { copyFileSync, mkdirSync } from "node:fs";
import { join } from "node:path";
import { ROOT } from "./lib.mjs";

const into = join(ROOT, "web", "public", "demo");
mkdirSync(into, { recursive: true });
for (const name of ["corvane.gpx", "corvane.gepack.json"]) copyFileSync(join(ROOT, "demo", name), join(into, name));
