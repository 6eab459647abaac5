/**
 * Files turned into others: bytes changed, cut, doubled, put in, written in another encoding; numbers and parts
 * of a plan made into what they must not be. They go the way a hiker's file goes, through the jobs of the worker.
 * Nothing may throw, hang, or come through with a number that is none.
 */
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import writeXlsxFile from "write-excel-file/node";
import { seededRandom } from "../../demo/generate/random.ts";
import { serveJobs, type JobEnd } from "../src/worker/serve.ts";
import type { ReadResult } from "@gepack/core";
import { drawFrom, type Draw, type Report, type Strength } from "./report.ts";
import { planWith, straightTrack } from "../test/plans.ts";
import { writePlanFile } from "@gepack/core";

const GPX_BYTES = 1_000_000;
/** Far above what any file takes: who needs longer hangs. */
const HANGS_MS = 10_000;

type JobName = "readTrack" | "readPlan" | "readKit";

async function read(api: ReturnType<typeof serveJobs>, job: JobName, bytes: Uint8Array): Promise<JobEnd> {
  const file = new Blob([bytes as BlobPart]);
  const args = {
    readPlan: { file },
    readTrack: { file, name: "own", trackId: "own" },
    readKit: { file, name: "own", hikerId: "a", fromStopId: "@start", toStopId: "@finish" },
  };
  return api.run(1, job, args[job]);
}

export async function* attackFiles({ seed, files }: Strength): AsyncGenerator<Report> {
  const api = serveJobs(() => {});
  for (const [what, job, base, mutate] of [
    ["mutated GPX files", "readTrack", gpxText(), mutateText],
    ["mutated plan files", "readPlan", planText(), mutateText],
    ["plan files with a wrong part", "readPlan", planText(), mutateParts],
    ["mutated KMZ files", "readTrack", kmzText(), mutatePacked],
    ["mutated workbooks", "readKit", await workbookText(), mutatePacked],
  ] as const) {
    const draw = drawFrom(seededRandom(seed).uniform);
    const failures: string[] = [];
    let accepted = 0;
    let slowestMs = 0;
    for (let i = 0; i < files; i++) {
      const bytes = mutate(base, draw);
      const began = performance.now();
      const end = await read(api, job, bytes);
      slowestMs = Math.max(slowestMs, performance.now() - began);
      const fault = faultOf(end);
      if (fault !== undefined) failures.push(`file ${i}: ${fault}`);
      else if (end.is === "done" && valueOf(end.answer) !== undefined) accepted++;
    }
    const figures = `${accepted} read all the same, slowest ${Math.round(slowestMs)} ms`;
    yield { what, tried: files, failures, figures };
  }
  yield await attackWithMonsters(api);
}

/** What was read; a table gives its rows, and what it could not read beside them. */
function valueOf(answer: unknown): unknown {
  const { value, pieces = [] } = answer as { value?: unknown; pieces?: unknown[] };
  return pieces.length > 0 ? pieces : value;
}

/** A reading ends with a value of real numbers, or with a sentence. */
function faultOf(end: JobEnd): string | undefined {
  if (end.is !== "done") return end.is === "failed" ? `threw ${end.sentence}` : "stopped by nobody";
  const value = valueOf(end.answer);
  const { problems } = end.answer as ReadResult<unknown>;
  if (value === undefined && !problems.some(({ sentence }) => sentence.length > 10))
    return "refused without a sentence";
  return value === undefined ? undefined : oddNumber(value, "");
}

/** Where a value holds a number that is none; a height that is missing is NaN by design. */
function oddNumber(value: unknown, place: string): string | undefined {
  if (typeof value === "number") return Number.isFinite(value) ? undefined : `${place} is ${value}`;
  if (typeof value !== "object" || value === null || place.endsWith(".heightM")) return undefined;
  for (const [key, part] of Object.entries(value)) {
    const found = oddNumber(part, `${place}.${key}`);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** A megabyte of the worst kinds: each is refused, or read, and none takes long. */
async function attackWithMonsters(api: ReturnType<typeof serveJobs>): Promise<Report> {
  const ascii = (text: string): Uint8Array => Buffer.from(text, "latin1");
  const times = (text: string): string => text.repeat(Math.ceil(GPX_BYTES / text.length));
  const monsters: [name: string, job: JobName, bytes: Uint8Array][] = [
    ["zeros", "readTrack", new Uint8Array(GPX_BYTES)],
    ["text", "readTrack", ascii(times("no track "))],
    ["UTF-16", "readTrack", Buffer.from(`\uFEFF${times("<gpx>").slice(0, GPX_BYTES / 2)}`, "utf16le")],
    ["open tags", "readTrack", ascii(times("<a>"))],
    ["open tags in a gpx", "readTrack", ascii(`<gpx>${times("<a>")}`)],
    ["attributes", "readTrack", ascii(`<gpx ${Array.from({ length: 80_000 }, (_, i) => `a${i}="1"`).join(" ")}>`)],
    ["one attribute", "readTrack", ascii(`<gpx a="${times("x")}">`)],
    ["errors", "readTrack", ascii(`<gpx>${times("&x;")}</gpx>`)],
    ["bad points", "readTrack", ascii(`<gpx><trk><trkseg>${times('<trkpt lat="x"/>')}</trkseg></trk></gpx>`)],
    ["document type", "readTrack", ascii(`<!DOCTYPE gpx [${times('<!ENTITY a "&b;&b;&b;">')}]><gpx/>`)],
    ["comment", "readTrack", ascii(`<gpx><!--${times("-")}`)],
    ["zeros as a plan", "readPlan", new Uint8Array(GPX_BYTES)],
    ["nested lists", "readPlan", ascii(`${"[".repeat(GPX_BYTES)}`)],
    ["nested lists that end", "readPlan", ascii(`${"[".repeat(GPX_BYTES / 2)}${"]".repeat(GPX_BYTES / 2)}`)],
    [
      "nested parts",
      "readPlan",
      ascii(`{"format":"gepack-plan","version":2,"a":${'{"a":'.repeat(1000)}1${"}".repeat(1000)}}`),
    ],
    ["wrong rows", "readPlan", ascii(`{"format":"gepack-plan","version":2,"stops":[${times("7,")}7]}`)],
    ["wrong points", "readPlan", wrongPoints()],
    [
      "names",
      "readPlan",
      ascii(`{"format":"gepack-plan","version":2,${Array.from({ length: 80_000 }, (_, i) => `"a${i}":1`).join(",")}}`),
    ],
  ];
  const failures: string[] = [];
  let slowest = "";
  let slowestMs = 0;
  for (const [name, job, bytes] of monsters) {
    const began = performance.now();
    const end = await read(api, job, bytes);
    const tookMs = performance.now() - began;
    const fault = faultOf(end);
    if (fault !== undefined) failures.push(`${name}: ${fault}`);
    if (tookMs > HANGS_MS) failures.push(`${name}: took ${Math.round(tookMs)} ms`);
    if (tookMs > slowestMs) [slowest, slowestMs] = [name, tookMs];
  }
  const figures = `slowest ${Math.round(slowestMs)} ms (${slowest})`;
  return { what: "megabytes of the worst kinds", tried: monsters.length, failures, figures };
}

function wrongPoints(): Uint8Array {
  const { tracks, ...plan } = JSON.parse(planText()) as { tracks: { geometry: { coordinates: unknown } }[] };
  tracks[0]!.geometry.coordinates = [Array.from({ length: 60_000 }, (_, i) => [i, "x", null])];
  return Buffer.from(JSON.stringify({ ...plan, tracks }));
}

function gpxText(): string {
  const points = Array.from(
    { length: 40 },
    (_, i) => `<trkpt lat="${(40 + i * 0.0009).toFixed(5)}" lon="-150.5"><ele>${300 + ((i * 37) % 90)}</ele></trkpt>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="40.01" lon="-150.5"><name>Spring &amp; trough</name><sym>water</sym></wpt><trk><name>Käse</name><trkseg>${points.join("")}</trkseg></trk></gpx>`;
}

/** Packed files, a byte a letter. */
const lettersOf = (bytes: Uint8Array): string => Buffer.from(bytes).toString("latin1");

function kmzText(): string {
  const line = Array.from({ length: 40 }, (_, i) => `-150.5,${(40 + i * 0.0009).toFixed(5)},300`).join(" ");
  const kml = `<kml><Document><Placemark><name>Way</name><LineString><coordinates>${line}</coordinates></LineString></Placemark></Document></kml>`;
  return lettersOf(zipSync({ "doc.kml": strToU8(kml) }));
}

async function workbookText(): Promise<string> {
  const rows = [
    ["Name", "Group", "Grams", "Qty"],
    ["Tent", "Shelter", 842, 1],
    ["Sock", "Clothes", 48, 3],
  ];
  return lettersOf(await writeXlsxFile(rows.map((row) => row.map((value) => ({ value }) as never))).toBuffer());
}

/** Bytes of the packed file changed, or of what is in it before it is packed again. */
function mutatePacked(base: string, draw: Draw): Uint8Array<ArrayBufferLike> {
  const bytes = Buffer.from(base, "latin1");
  if (draw.below(2) === 0) {
    for (let i = 0; i <= draw.below(4); i++) bytes[draw.below(bytes.length)] = draw.below(256);
    return draw.below(5) === 0 ? bytes.subarray(0, draw.below(bytes.length)) : bytes;
  }
  const parts = unzipSync(bytes);
  const name = draw.of(Object.keys(parts));
  parts[name] = new Uint8Array(mutateText(strFromU8(parts[name]!), draw));
  return zipSync(parts);
}

function planText(): string {
  const plan = planWith({
    stops: [{ id: "m", name: "Mill", trackM: 2000 }],
    sources: [{ id: "w", name: "Well", trackM: 1000 }],
    kit: [
      {
        id: "k",
        name: "Pack",
        massG: 900,
        ownerId: "a",
        carrierId: "a",
        spans: [{ fromStopId: "@start", toStopId: "m" }],
      },
    ],
    climate: {
      stations: [
        {
          id: "s",
          name: "S",
          trackM: 0,
          heightM: 100,
          lowC: Array(12).fill(3),
          highC: Array(12).fill(14),
          lowSdK: 3,
          highSdK: 4,
        },
      ],
    },
  });
  return JSON.stringify(writePlanFile(plan, [straightTrack(40)]));
}

const TOKENS = [
  "<![CDATA[",
  "]]>",
  "<!--",
  "-->",
  "&#0;",
  "&lt;",
  "<?",
  "\u0000",
  "\uFFFF",
  "\uFEFF",
  '"',
  "<",
  ">",
  "</gpx>",
  "<trkpt>",
  "NaN",
  "Infinity",
  "1e999",
  "-1e999",
  "9".repeat(400),
  "-0",
  "__proto__",
  "constructor",
  "null",
  "true",
  "[]",
  "{}",
  ",",
  "’",
  "𝟘",
];

/** Up to four changes of a text's bytes; one in ten is written in another encoding. */
function mutateText(base: string, draw: Draw): Uint8Array {
  let text = base;
  const changes = 1 + draw.below(4);
  for (let change = 0; change < changes; change++) {
    const at = draw.below(text.length + 1);
    const length = draw.below(60);
    const kind = draw.below(5);
    if (kind === 0) text = text.slice(0, at) + draw.of(TOKENS) + text.slice(at);
    else if (kind === 1) text = text.slice(0, at) + text.slice(at + length);
    else if (kind === 2)
      text = text.slice(0, at) + text.slice(at, at + length).repeat(1 + draw.below(4)) + text.slice(at);
    else if (kind === 3) text = text.slice(0, at);
    else
      text =
        text.slice(0, at) + String.fromCharCode(draw.below(draw.below(2) === 0 ? 128 : 65_536)) + text.slice(at + 1);
  }
  if (draw.below(10) > 0) return Buffer.from(text);
  return Buffer.from(text, draw.of(["utf16le", "latin1", "ascii"] as const));
}

const ODD: readonly unknown[] = [
  null,
  true,
  "",
  "x",
  "1",
  -1,
  0,
  1e308,
  -1e308,
  5e-324,
  0.1,
  2 ** 53,
  [],
  {},
  [[]],
  [null],
  { a: 1 },
  "@start",
  "9999-12-31",
  "\u202E\u0000",
  "x".repeat(500),
];

/** One to three parts of the plan, anywhere in it, taken away or made into something odd. */
function mutateParts(base: string, draw: Draw): Uint8Array {
  const plan = JSON.parse(base) as Record<string, unknown>;
  const changes = 1 + draw.below(3);
  for (let change = 0; change < changes; change++) {
    let holder: Record<string, unknown> | unknown[] = plan;
    for (;;) {
      const keys = Object.keys(holder);
      if (keys.length === 0) break;
      const key = draw.of(keys);
      const part = (holder as Record<string, unknown>)[key];
      if (typeof part === "object" && part !== null && draw.below(4) > 0) {
        holder = part as Record<string, unknown>;
        continue;
      }
      if (draw.below(3) === 0) delete (holder as Record<string, unknown>)[key];
      // Each a copy of its own: a later change may go into it.
      else (holder as Record<string, unknown>)[key] = structuredClone(draw.of(ODD));
      break;
    }
  }
  return Buffer.from(JSON.stringify(plan));
}
