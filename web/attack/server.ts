/** The server under load and under ill will: it answers health all the while, and what it refuses it refuses at once. */
import { availableParallelism } from "node:os";
import { connect } from "node:net";
import { seededRandom } from "../../demo/generate/random.ts";
import { served } from "../../scripts/lib.mjs";
import { planWith, straightTrack } from "../test/plans.ts";
import { writePlanFile } from "@gepack/core";
import { drawFrom, type Report, type Strength } from "./report.ts";

const PORT = 4397;
/** Health that takes longer than this has been blocked. */
const BLOCKED_MS = 2000;

export async function* attackServer(strength: Strength): AsyncGenerator<Report> {
  const server = await served(PORT);
  try {
    yield await underLoad(server.url);
    yield await leaving(server.url);
    yield await bodies(server.url, strength);
    yield await rubbish(strength);
  } finally {
    server.stop();
  }
}

const short = (): string => JSON.stringify(writePlanFile(planWith(), [straightTrack(400)]));

/** A plan that is allowed, and takes seconds: 20,000 km for two, water every 600 m. */
function long(): string {
  const track = straightTrack(2000);
  track.lonDeg = track.lonDeg.map((_, i) => -170 + i * 0.097);
  track.latDeg = track.latDeg.map((_, i) => 40 + (i % 2) * 0.05);
  const plan = planWith({
    sources: Array.from({ length: 20_000 }, (_, i) => ({ id: `w${i}`, name: "W", trackM: i * 600 })),
    stops: Array.from({ length: 1500 }, (_, i) => ({ id: `s${i}`, name: "S", trackM: i * 8000 })),
  });
  return JSON.stringify(writePlanFile(plan, [track]));
}

const post = (url: string, body: string, signal?: AbortSignal): Promise<Response> =>
  fetch(`${url}/api/plan`, {
    method: "POST",
    body,
    headers: { "content-type": "application/json" },
    ...(signal ? { signal } : {}),
  });

async function underLoad(url: string): Promise<Report> {
  const body = long();
  const failures: string[] = [];
  const sent = availableParallelism() + 8;
  let over = false;
  let worstMs = 0;
  let looks = 0;
  const health = (async () => {
    while (!over) {
      const began = performance.now();
      const { status } = await fetch(`${url}/api/health`);
      worstMs = Math.max(worstMs, performance.now() - began);
      looks++;
      if (status !== 200) failures.push(`health answered ${status}`);
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  })();
  const answers = await Promise.all(Array.from({ length: sent }, () => post(url, body)));
  over = true;
  await health;
  const refused = answers.filter(({ status }) => status === 503);
  if (refused.length === 0) failures.push("nobody was turned away");
  if (refused.some((answer) => !answer.headers.get("retry-after"))) failures.push("turned away without Retry-After");
  for (const answer of answers)
    if (answer.status !== 200 && answer.status !== 503) failures.push(`${answer.status}: ${await answer.text()}`);
  if (worstMs > BLOCKED_MS) failures.push(`health took ${Math.round(worstMs)} ms`);
  const figures = `${answers.length - refused.length} computed, ${refused.length} turned away, slowest of ${looks} healths ${Math.round(worstMs)} ms`;
  return { what: "long plans at once", tried: sent, failures, figures };
}

/** Those who leave take their work along: whoever comes after does not wait for it. */
async function leaving(url: string): Promise<Report> {
  const failures: string[] = [];
  const body = long();
  const sent = 6;
  await Promise.all(
    Array.from({ length: sent }, () => post(url, body, AbortSignal.timeout(400)).catch(() => undefined)),
  );
  const began = performance.now();
  const { status } = await post(url, short());
  const tookMs = performance.now() - began;
  if (status !== 200) failures.push(`the next one was answered ${status}`);
  return {
    what: "those who leave while they are computed",
    tried: sent,
    failures,
    figures: `the next had its answer after ${Math.round(tookMs)} ms`,
  };
}

async function bodies(url: string, { slowBodies }: Strength): Promise<Report> {
  const failures: string[] = [];
  const expectStatus = async (what: string, answer: Promise<Response>, wanted: number): Promise<void> => {
    const status = await answer.then(
      (response) => response.status,
      () => 0,
    );
    if (status !== wanted) failures.push(`${what}: ${status} in place of ${wanted}`);
  };
  await expectStatus("25 MB", post(url, `"${"x".repeat(25_000_000)}"`), 413);
  await expectStatus("nothing", post(url, ""), 400);
  await expectStatus("no JSON", post(url, "{"), 400);
  await expectStatus("another document", post(url, "[]"), 422);
  let tried = 4;
  if (slowBodies) {
    const head = "POST /api/plan HTTP/1.1\r\nhost: 127.0.0.1\r\n";
    for (const [what, begin] of [
      ["a head that never ends", head],
      ["a body that never ends", `${head}content-length: 1000\r\n\r\n{`],
    ] as const) {
      tried++;
      const seconds = await untilClosed(begin);
      if (seconds > 40) failures.push(`${what} is still open after ${Math.round(seconds)} s`);
    }
  }
  return { what: "bodies that are too large, empty, wrong or slow", tried, failures };
}

/** Sends one byte a second until the server has had enough. */
function untilClosed(begin: string): Promise<number> {
  return new Promise((resolve) => {
    const began = performance.now();
    const socket = connect(PORT, "127.0.0.1", () => socket.write(begin));
    const drip = setInterval(() => {
      socket.write("x");
      if (performance.now() - began > 45_000) socket.destroy();
    }, 1000);
    socket.on("error", () => {});
    socket.on("data", () => {});
    socket.on("close", () => {
      clearInterval(drip);
      resolve((performance.now() - began) / 1000);
    });
  });
}

const PATHS = [
  "/",
  "/kit/",
  "/api/plan",
  "/api/health",
  "/../../package.json",
  "/%2e%2e/%2e%2e/package.json",
  "/%00",
  "/%ff",
  "//",
  "/_astro/../../csp.json",
  "/api/../plan",
  `/${"a".repeat(5000)}`,
  "/?a=%",
  "*",
  "http://elsewhere.example/",
  "/csp.json",
];
const METHODS = ["GET", "HEAD", "POST", "PUT", "DELETE", "OPTIONS", "TRACE", "CONNECT", "PATCH", "NONSENSE", "get"];
const HEADS = [
  "",
  "host: elsewhere.example\r\n",
  "content-length: -1\r\n",
  "content-length: 5\r\ncontent-length: 6\r\n",
  "transfer-encoding: chunked\r\n",
  "transfer-encoding: nonsense\r\n",
  "origin: null\r\n",
  "range: bytes=9-1\r\n",
  "if-none-match: \u00ff\r\n",
  "accept-encoding: gzip;q=x\r\n",
  `x: ${"y".repeat(20_000)}\r\n`,
  "expect: 100-continue\r\n",
  "upgrade: h2c\r\nconnection: upgrade\r\n",
];

/** Requests put together at random, sent as they are: each is answered with a status below 500, or the line is closed. */
async function rubbish({ seed, serverRounds }: Strength): Promise<Report> {
  const draw = drawFrom(seededRandom(seed).uniform);
  const failures: string[] = [];
  for (let i = 0; i < serverRounds; i++) {
    const host = draw.below(5) === 0 ? "" : "host: 127.0.0.1\r\n";
    const head = `${draw.of(METHODS)} ${draw.of(PATHS)} HTTP/1.${draw.below(2)}\r\n${host}${draw.of(HEADS)}${draw.of(HEADS)}\r\n`;
    const answer = await say(`${head}${draw.of(["", "{}", "0\r\n\r\n", "\u0000"])}`);
    const status = Number(/^HTTP\/1\.\d (\d+)/.exec(answer)?.[1] ?? (await aliveStatus()));
    if (status >= 500 && status !== 501) failures.push(`${status} to ${JSON.stringify(head.slice(0, 80))}`);
    if (/"private"|frame-ancestors.*"csp"/.test(answer))
      failures.push(`a file from outside to ${JSON.stringify(head.slice(0, 80))}`);
  }
  return { what: "requests put together at random", tried: serverRounds, failures };
}

/** A line that is closed without an answer is no fault, so long as the next one is answered. */
async function aliveStatus(): Promise<number> {
  return /^HTTP\/1\.1 200/.test(await say("GET /api/health HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n")) ? 400 : 500;
}

function say(text: string): Promise<string> {
  return new Promise((resolve) => {
    let answer = "";
    const socket = connect(PORT, "127.0.0.1", () => socket.end(text, "latin1"));
    const patience = setTimeout(() => socket.destroy(), 1500);
    socket.on("data", (bytes: Buffer) => (answer += bytes.toString("latin1")));
    socket.on("error", () => {});
    socket.on("close", () => {
      clearTimeout(patience);
      resolve(answer);
    });
  });
}
