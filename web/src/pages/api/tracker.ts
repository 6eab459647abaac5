import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { dayNumber, simulatedTracker, unpackTrack, type TrackPoints } from "@gepack/core";
import type { APIRoute } from "astro";
import { queryOf } from "../../server/query.ts";
import { answer, methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

/** A clock that is sped up further tells nothing any more. */
const MOST_SPEED = 100_000;
const MOST_S = 400 * 86_400;
const DAY_S = 86_400;
const MOST_FROM_M = 10_000_000;

let trail: Promise<TrackPoints> | undefined;

/** The demo's trail, as the build packs it. */
function demoTrail(publicFiles: string): Promise<TrackPoints> {
  trail ??= readFile(join(publicFiles, "demo", "corvane.track")).then(unpackTrack);
  // What failed once is read again.
  trail.catch(() => (trail = undefined));
  return trail;
}

/**
 * A simulated tracker on the demo's trail: `?start=2027-03-29&started=1764489600&speed=3600&since=2027-03-30T00:00Z`. It left on
 * the morning of `start`, `fromM` along it; its clock began at that midnight, UTC, when real time was `started` seconds, and runs `speed` times
 * as fast. With `elapsedS` so much of its own time has gone by instead.
 */
export const GET: APIRoute = async ({ request, url, locals }) => {
  const query = url.searchParams;
  const { number, bad } = queryOf(url);
  const start = query.get("start") ?? "";
  const startDay = dayNumber(start);
  if (startDay === undefined) bad.push(`start is “${start.slice(0, 30)}”; expected a day as YYYY-MM-DD`);
  const sinceText = query.get("since");
  const sinceS = sinceText === null ? 0 : Date.parse(sinceText) / 1000;
  if (Number.isNaN(sinceS)) bad.push(`since is “${sinceText!.slice(0, 30)}”; expected a moment as 2027-03-30T00:00Z`);
  const nowS = Date.now() / 1000;
  const speed = number("speed", 1, MOST_SPEED, 1);
  const begun = number("begun", 0, nowS + DAY_S, nowS);
  const elapsedS = number("elapsedS", 0, MOST_S, Math.min(MOST_S, Math.max(0, (nowS - begun) * speed)));
  const fromM = number("fromM", 0, MOST_FROM_M, 0);
  if (bad.length > 0) return problem(400, "Not a tracker’s day", `${bad.join("; ")}.`);
  const track = await demoTrail(locals.publicFiles ?? "public").catch(() => undefined);
  if (!track) return problem(503, "No trail to walk", "The demo trail isn’t built yet; run the build first.");
  return answer(
    request,
    simulatedTracker({ track, startDay: startDay!, fromM, sinceS, untilS: startDay! * DAY_S + elapsedS }),
  );
};

export const ALL: APIRoute = () => methodRefused("GET, HEAD");
