/** The walked line as a map gets it: pieces by class, none over a joint, no leap at ±180°. */
import { expect, test } from "vitest";
import type { Profile } from "@gepack/core";
import { heightEdges, nearLon, nodePlaces, runsOf, trackPlaces, type LonLat } from "./lines.ts";

const profile = (joints: number[] = []): Profile =>
  ({ cellCount: 6, joints: joints.map((node) => ({ node })) }) as unknown as Profile;
const places = Array.from({ length: 7 }, (_, i): LonLat => [i, 0]);
const xs = (of: number[], joints?: number[]) =>
  runsOf(profile(joints), places, (node) => of[node]!).map((run) => [run.of, run.points.map(([x]) => x)]);

test("a piece for each run of one class, which share the node between them", () => {
  expect(xs([0, 0, 1, 1, 1, 0])).toEqual([
    [0, [0, 1, 2]],
    [1, [2, 3, 4, 5]],
    [0, [5, 6]],
  ]);
});

test("nothing is drawn from before a ride to behind it", () => {
  expect(xs([0, 0, 0, 0, 0, 0], [3])).toEqual([
    [0, [0, 1, 2]],
    [0, [3, 4, 5, 6]],
  ]);
});

test("longitudes go on over the date line, and other lines lie beside them", () => {
  const across = { lonDeg: Float64Array.of(179, -179, -178), latDeg: Float64Array.of(1, 2, 3) };
  expect(nodePlaces(across as unknown as Profile).map(([lon]) => lon)).toEqual([179, 181, 182]);
  expect(trackPlaces(across as never, -181).map(([lon]) => lon)).toEqual([-181, -179, -178]);
  expect([nearLon(-170, 175), nearLon(10, 20)]).toEqual([190, 10]);
});

test("bands of height begin at round figures inside the range, never at its ends", () => {
  const edges = heightEdges({ lowestM: -2, highestM: 3313 } as Profile, 6);
  expect(edges[0]).toBeGreaterThan(100);
  expect(edges.at(-1)).toBeLessThan(3313);
  expect(edges.every((edge) => edge % 100 === 0)).toBe(true);
});
