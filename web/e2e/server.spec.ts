import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test, type APIRequestContext } from "@playwright/test";
import type { TrackerAnswer } from "@gepack/core";

const demo = JSON.parse(readFileSync(join(import.meta.dirname, "../../demo/corvane.gepack.json"), "utf8")) as Record<
  string,
  unknown
>;
const track = {
  type: "Feature",
  id: "corvane",
  properties: { name: "short" },
  geometry: {
    type: "MultiLineString",
    coordinates: [Array.from({ length: 3000 }, (_, i) => [-148, 38.1 + i * 0.0004, 20 + (i % 300)])],
  },
};
const post = (request: APIRequestContext, data: unknown, headers: Record<string, string> = {}) =>
  request.post("/api/plan", {
    data: Buffer.from(typeof data === "string" ? data : JSON.stringify(data)),
    headers: { "content-type": "application/json", ...headers },
  });

test("POST /api/plan answers legs, hikers and checks", async ({ request }) => {
  const response = await post(request, { ...demo, tracks: [track] });
  expect(response.status()).toBe(200);
  const body = (await response.json()) as {
    legs: { from: { name: string; km: number }; distanceKm: number; hikers: Record<string, unknown>[] }[];
    checks: { sentence: string }[];
  };
  expect(body.legs[0]!.from).toEqual({ name: "Port Osk", km: 0 });
  expect(body.legs.reduce((sum, leg) => sum + leg.distanceKm, 0)).toBeCloseTo(133.2, 0);
  for (const key of [
    "energyKcalPerDay",
    "foodKg",
    "longestDryKm",
    "largestCarry",
    "fuelG",
    "baseKg",
    "wornKg",
    "leavingKg",
    "heaviestKg",
    "meanKg",
  ])
    expect(body.legs[0]!.hikers[0]).toHaveProperty(key);
  expect(body.checks.every((check) => check.sentence.length > 10)).toBe(true);
});

test("refusals are problem+json and name the path", async ({ request }) => {
  const cases: [unknown, number, string | undefined][] = [
    ["{", 400, undefined],
    ["", 400, undefined],
    [{}, 422, "format"],
    [{ ...demo, version: 99 }, 422, "version"],
    [{ ...demo, tracks: [track], hikers: [] }, 422, "hikers"],
    [
      {
        ...demo,
        tracks: [track],
        kit: [{ id: "x", name: "x", massG: -3, ownerId: "tamsin", carrierId: "tamsin", spans: [] }],
      },
      422,
      "kit[0].massG",
    ],
    [demo, 422, "tracks"],
    [[1, 2, 3], 422, "file"],
  ];
  for (const [data, status, path] of cases) {
    const response = await post(request, data);
    expect(response.status()).toBe(status);
    expect(response.headers()["content-type"]).toContain("application/problem+json");
    const body = (await response.json()) as { title: string; problems: { path: string }[] };
    if (path) expect(body.problems[0]!.path).toBe(path);
  }
});

test("a body over 20 MB is refused", async ({ request }) => {
  const response = await post(request, `"${"x".repeat(20_500_000)}"`);
  expect(response.status()).toBe(413);
});

test("a page of another site may not post", async ({ request }) => {
  expect((await post(request, demo, { origin: "https://elsewhere.example" })).status()).toBe(403);
});

test("health and schema, with a tag that spares the second sending, packed", async ({ request }) => {
  expect(await (await request.get("/api/health")).json()).toMatchObject({ status: "ok" });
  const first = await request.get("/api/schema", { headers: { "accept-encoding": "gzip" } });
  const schema = (await first.json()) as { properties: Record<string, unknown> };
  expect(Object.keys(schema.properties)).toEqual(expect.arrayContaining(["trip", "hikers", "stops", "kit", "tracks"]));
  expect(first.headers()["content-encoding"]).toBe("gzip");
  const again = await request.get("/api/schema", { headers: { "if-none-match": first.headers()["etag"]! } });
  expect(again.status()).toBe(304);
  expect((await request.get("/kit/")).headers()["etag"]).toBeTruthy();
});

test("simulated normals of a place, and what is no place", async ({ request }) => {
  const good = await request.get("/api/climate?latDeg=48&heightM=50&seaKm=10&west=1");
  expect(good.status()).toBe(200);
  const normals = (await good.json()) as { simulated: boolean; lowC: number[]; highC: number[] };
  expect(normals.simulated).toBe(true);
  expect(normals.lowC[0]).toBeCloseTo(1.6, 1);
  expect(normals.highC).toHaveLength(12);
  for (const query of ["", "?latDeg=north&heightM=5", "?latDeg=48&heightM=1e9", "?latDeg=48&heightM=5&sea=far"]) {
    const bad = await request.get(`/api/climate${query}`);
    expect(bad.status(), query).toBe(400);
    expect(((await bad.json()) as { detail: string }).detail).toMatch(/use a number|use one of/);
  }
  expect((await request.post("/api/climate")).status()).toBe(405);
});

test("what cannot be answered is refused with a status, a problem and, of methods, with those allowed", async ({
  request,
  baseURL,
}) => {
  const cases: [method: string, path: string, status: number, allow: string | undefined][] = [
    ["GET", "/nowhere/", 404, undefined],
    ["GET", "/%%%", 400, undefined],
    ["GET", "/_image?href=%2Ficon.svg&w=4000&f=png", 404, undefined],
    ["PUT", "/kit/", 405, "GET, HEAD"],
    ["DELETE", "/icon.svg", 405, "GET, HEAD"],
    ["GET", "/api/plan", 405, "POST"],
    ["PUT", "/api/schema", 405, "GET, HEAD"],
    ["DELETE", "/api/health", 405, "GET, HEAD"],
  ];
  for (const [method, path, status, allow] of cases) {
    const response = await request.fetch(baseURL + path, { method });
    expect(response.status(), `${method} ${path}`).toBe(status);
    expect(response.headers()["content-type"], path).toContain("application/problem+json");
    expect(response.headers()["allow"], path).toBe(allow);
  }
  expect((await request.get("/", { headers: { host: "elsewhere.example" } })).status()).toBe(421);
  expect((await request.get("/icon.svg", { headers: { range: "bytes=9-1" } })).status()).toBe(200);
  for (const origin of ["null", "%%%"]) expect((await post(request, demo, { origin })).status()).toBe(403);
});

test("a strict content security policy on pages and answers", async ({ request }) => {
  for (const path of ["/", "/kit/", "/api/health"]) {
    const csp = (await request.get(path)).headers()["content-security-policy"]!;
    expect(csp).toContain("default-src 'none'");
    expect(csp).toContain("connect-src 'self'");
    expect(csp).not.toMatch(/script-src[^;]*unsafe/);
  }
});

test("GET /api/post is a simulated post office: days on the way, when to send, and what is no parcel", async ({
  request,
}) => {
  const queried = async (query: string) => {
    const response = await request.get(`/api/post?${query}`);
    return { status: response.status(), body: (await response.json()) as Record<string, unknown> };
  };
  expect((await queried("to=outpost&distanceKm=900")).body).toMatchObject({ simulated: true, leastDays: 4, q: 0.5 });
  expect((await queried("to=village&arrives=2027-06-18")).body).toMatchObject({
    sendOn: "2027-06-01",
    sendBy: "2027-06-09",
  });
  const bad = await queried("to=moon&distanceKm=&arrives=soon");
  expect(bad.status).toBe(400);
  expect(bad.body["detail"]).toMatch(/to is “moon”; use one of town.*distanceKm is “”.*arrives is “soon”/);
});

test("GET /api/scale is a simulated scale that settles; what is not on it is said", async ({ request }) => {
  const queried = async (query: string) => {
    const response = await request.get(`/api/scale?${query}`);
    return { status: response.status(), body: (await response.json()) as Record<string, unknown> };
  };
  expect((await queried("name=Fleece&listedG=250")).body).toEqual({ simulated: true, grams: 0, settled: false });
  const settled = (await queried("name=Fleece&listedG=250&elapsedMs=4000")).body;
  expect(settled["settled"]).toBe(true);
  expect(settled["grams"]).toBeGreaterThan(240);
  expect(settled["grams"]).toBeLessThan(270);
  const bad = await queried("name=Fleece&elapsedMs=-4");
  expect(bad.status).toBe(400);
  expect(bad.body["detail"]).toMatch(/listedG is missing.*elapsedMs is “-4”/);
});

test("GET /api/tracker is a simulated tracker on the demo’s trail, by its own clock; what is no day of it is said", async ({
  request,
}) => {
  const queried = async (query: string) => {
    const response = await request.get(`/api/tracker?${query}`);
    return { status: response.status(), body: (await response.json()) as TrackerAnswer & { detail?: string } };
  };
  const { body } = await queried("start=2027-03-29&elapsedS=180000");
  expect(body.simulated).toBe(true);
  expect(body.clock).toBe("2027-03-31T02:00:00.000Z");
  expect(body.fixes.length).toBeGreaterThan(20);
  const middle = body.fixes[10]!.time;
  const later = await queried(`start=2027-03-29&elapsedS=180000&since=${middle}`);
  expect(later.body.fixes).toEqual(body.fixes.slice(11));
  // A clock that began two days ago, at its own speed, has come as far.
  const begun = Math.floor(Date.now() / 1000) - 50;
  const live = (await queried(`start=2027-03-29&begun=${begun}&speed=3600`)).body;
  expect(Date.parse(live.clock)).toBeGreaterThanOrEqual(Date.parse("2027-03-31T02:00:00Z"));
  const bad = await queried("start=soon&speed=0&since=then");
  expect(bad.status).toBe(400);
  expect(bad.body.detail).toMatch(/start is “soon”.*since is “then”.*speed is “0”/);
});
