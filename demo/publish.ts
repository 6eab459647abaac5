/**
 * Puts the demo where the application fetches it on the first visit: the plan as it is read, with every
 * default in it, and the track packed. What is checked here need not be checked by every visitor.
 */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { packTrack, readGpx, readPlan } from "@gepack/core";

const read = (name: string): string => readFileSync(new URL(name, import.meta.url), "utf8");
const into = new URL("../web/public/demo/", import.meta.url);

const { track } = readGpx(read("corvane.gpx"), "corvane", "corvane").value ?? {};
const { value: plan, problems } = readPlan(JSON.parse(read("corvane.gepack.json")));
if (!track || !plan) throw new Error(`The demo cannot be read: ${JSON.stringify(problems)}`);
rmSync(into, { recursive: true, force: true });
mkdirSync(into, { recursive: true });
writeFileSync(new URL("corvane.track", into), packTrack(track));
writeFileSync(new URL("corvane.gepack.json", into), JSON.stringify({ ...plan, trackIds: [track.id] }));
