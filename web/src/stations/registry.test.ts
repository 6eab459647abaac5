import { readdirSync } from "node:fs";
import { expect, test } from "vitest";
import { ADDRESSES, STATIONS, stationOf } from "./registry.ts";

test("every station has a screen in a folder of its name, and every folder a station", () => {
  const folders = readdirSync(new URL(".", import.meta.url), { withFileTypes: true }).filter((entry) =>
    entry.isDirectory(),
  );
  expect(folders.map(({ name }) => name).sort()).toEqual(STATIONS.map(({ id }) => id).sort());
  for (const { name } of folders) expect(readdirSync(new URL(name, import.meta.url))).toContain("index.tsx");
});

test("addresses are paths, and none stands twice", () => {
  expect(new Set(ADDRESSES.map(({ path }) => path)).size).toBe(ADDRESSES.length);
  for (const { path } of ADDRESSES) expect(path).toMatch(/^\/([a-z]+\/)?(\?part=[a-z]+)?$/);
  expect(ADDRESSES).toContainEqual({ name: "units", path: "/trip/?part=units" });
  expect(stationOf("legs").href).toBe("/");
});
