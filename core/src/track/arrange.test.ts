import fc from "fast-check";
import { expect, test } from "vitest";
import { trackNorth } from "../../test/fixtures.ts";
import { runs } from "../../test/arbitraryPlan.ts";
import { arrangeTrack, joinTracks } from "./arrange.ts";
import type { TrackPoints } from "./points.ts";

/** A trail cut into pieces, which are shuffled and turned as given. */
function shuffled(whole: TrackPoints, pieces: readonly { from: number; to: number; turned: boolean }[]): TrackPoints {
  const order = pieces.flatMap(({ from, to, turned }) => {
    const part = Array.from({ length: to - from }, (_, i) => from + i);
    return turned ? part.reverse() : part;
  });
  let at = 0;
  const starts = pieces.map(({ from, to }) => {
    const start = at;
    at += to - from;
    return start;
  });
  return {
    ...whole,
    lonDeg: Float64Array.from(order, (i) => whole.lonDeg[i]!),
    latDeg: Float64Array.from(order, (i) => whole.latDeg[i]!),
    heightM: Float32Array.from(order, (i) => whole.heightM[i]!),
    segmentStarts: Uint32Array.from(starts),
  };
}

const whole = trackNorth({ lengthM: 140_000, heightM: (m) => m / 100 });

test("fourteen pieces in the wrong order and direction become the trail, or the trail walked back", () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray(
        Array.from({ length: 14 }, (_, i) => i),
        { minLength: 14 },
      ),
      fc.array(fc.boolean(), { minLength: 14, maxLength: 14 }),
      (order, turned) => {
        const pieces = order.map((i) => ({ from: i * 100, to: i * 100 + 100, turned: turned[i]! }));
        const { track, longestGapM, pieces: count } = arrangeTrack(shuffled(whole, pieces));
        expect(count).toBe(14);
        expect(longestGapM).toBeLessThan(200);
        const lat = [...track.latDeg];
        const rising = lat.every((value, i) => i === 0 || value > lat[i - 1]!);
        const falling = lat.every((value, i) => i === 0 || value < lat[i - 1]!);
        expect(rising || falling).toBe(true);
        // Heights went with their points, and most was walked as it was recorded.
        expect(track.heightM[rising ? 0 : lat.length - 1]).toBe(0);
        const forward = turned.filter((one) => !one).length;
        if (forward !== 7) expect(rising).toBe(forward > 7);
      },
    ),
    { numRuns: runs(200), endOnFailure: true },
  );
});

test("a file in order stays as it is, pauses, short gaps and one long ferry included", () => {
  const inOrder = shuffled(whole, [
    { from: 0, to: 500, turned: false },
    { from: 510, to: 900, turned: false },
    { from: 1200, to: 1400, turned: false },
  ]);
  const arranged = arrangeTrack(inOrder);
  expect(arranged).toMatchObject({ asRecorded: true, pieces: 3, turned: 0 });
  expect(arranged.track).toBe(inOrder);
  expect(arranged.longestGapM).toBeGreaterThan(29_000);
  expect(arrangeTrack(whole)).toMatchObject({ asRecorded: true, pieces: 1, longestGapM: 0 });
});

test("several tracks as one keep every point and where each piece began", () => {
  const part = (from: number, to: number): TrackPoints => shuffled(whole, [{ from, to, turned: false }]);
  expect(joinTracks([part(0, 300), part(300, 310), part(310, 1401)])).toEqual({
    ...whole,
    segmentStarts: Uint32Array.of(0, 300, 310),
  });
  expect(joinTracks([whole])).toBe(whole);
});
