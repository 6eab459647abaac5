/** What a track that was read is: its outline, length, climb, gaps, and what was mended. */
import type { Problem, Units } from "@gepack/core";
import { quantity } from "../units/quantity.ts";
import type { TrackPreview } from "../worker/jobs.ts";
import { ProblemList } from "./TrackDrop.tsx";

export function TrackFacts({ preview, problems, units }: { preview: TrackPreview; problems: Problem[]; units: Units }) {
  const { from, track } = preview.file;
  const { mended } = preview;
  return (
    <>
      <b className="text-base">{track.name}</b>
      <Outline heightsM={preview.outlineM} />
      <p className="my-1">
        {preview.points.toLocaleString("en")} {from} points, {quantity("distance", preview.lengthM, units)},{" "}
        {preview.hasHeights
          ? `${quantity("height", preview.climbM, units)} up, highest ${quantity("height", preview.highestM, units)}`
          : "no heights"}
        .
      </p>
      <p className="my-1 text-muted">
        {mended.gaps.length} gaps
        {mended.gaps.length > 0 &&
          ` (longest ${quantity("distance", Math.max(...mended.gaps.map((gap) => gap.lengthM)), units)})`}
        ; mended: {mended.doubledPoints} doubled points, {mended.flungPoints} flung points, {mended.missingHeights}{" "}
        missing and {mended.spikedHeights} spiked heights.
      </p>
      {problems.length > 0 && <ProblemList problems={problems} />}
    </>
  );
}

function Outline({ heightsM }: { heightsM: Float32Array }) {
  let low = Infinity;
  let high = -Infinity;
  for (const height of heightsM) {
    low = Math.min(low, height);
    high = Math.max(high, height);
  }
  const points = [...heightsM]
    .map(
      (height, i) =>
        `${((i / (heightsM.length - 1)) * 330).toFixed(1)},${(44 - ((height - low) / Math.max(1, high - low)) * 40).toFixed(1)}`,
    )
    .join(" ");
  return (
    <svg viewBox="0 0 330 46" className="my-1 block w-full" role="img" aria-label="Height along the track">
      <polygon points={`0,46 ${points} 330,46`} fill="var(--ground)" />
    </svg>
  );
}
