/**
 * Puts the demo where the application fetches it on the first visit: the plan as it is read, with every
 * default in it, and the track packed. What is checked here need not be checked by every visitor.
 */
import { copyFileSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { packTrack, readGpx, readPlan, type TrackPoints } from "@gepack/core";

const read = (name: string): string => readFileSync(new URL(name, import.meta.url), "utf8");
const into = new URL("../web/public/demo/", import.meta.url);

/** The main trail, and the alternate by the id that the plan knows it by. */
const TRACKS = [
  ["corvane", "corvane"],
  ["corvane-alternate", "corrie-way"],
] as const;
const tracks = TRACKS.map(([file, id]): [string, TrackPoints] => {
  const { track } = readGpx(read(`${file}.gpx`), id, file).value ?? {};
  if (!track) throw new Error(`${file}.gpx cannot be read.`);
  return [file, track];
});
const { value: plan, problems } = readPlan(JSON.parse(read("corvane.gepack.json")));
if (!plan) throw new Error(`The demo cannot be read: ${JSON.stringify(problems)}`);
rmSync(into, { recursive: true, force: true });
mkdirSync(into, { recursive: true });
for (const [file, track] of tracks) writeFileSync(new URL(`${file}.track`, into), packTrack(track));
writeFileSync(new URL("corvane.gepack.json", into), JSON.stringify(plan));
for (const name of ["on-the-trail.json", "flip-flop.gepack.json", "shakedown.gepack.json"])
  copyFileSync(new URL(name, import.meta.url), new URL(name, into));
const examples = new URL("examples/", import.meta.url);
for (const name of readdirSync(examples)) copyFileSync(new URL(name, examples), new URL(name, into));
