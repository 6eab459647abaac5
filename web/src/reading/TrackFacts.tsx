/** What a track that was read is: its tracks to choose from, outline, length, climb, gaps, and what was repaired. */
import { unitsSchema, type Units } from "@gepack/core";
import { longDate } from "../units/date.ts";
import { fixed, toPx, quantity } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";
import { repairWords } from "../words/repairs.ts";
import { Parts } from "./Parts.tsx";
import { ProblemList } from "./TrackDrop.tsx";
import type { TrackFiles } from "./useTrackFile.ts";

export function TrackFacts({ reading, units = unitsSchema.parse({}) }: { reading: TrackFiles; units?: Units }) {
  const { phase, choose, cross } = reading;
  if (phase.is !== "preview") return null;
  const { preview, problems, crossed } = phase;
  const { from, track, repairs, gaps, parts } = preview;
  const faults = repairWords(repairs);
  const heightlessM = repairs.heightless.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0);
  return (
    <>
      <b className="text-base">{track.name}</b>
      <Parts parts={parts} choices={preview.choices} units={units} onChoose={(choices) => void choose(choices)} />
      <Outline heightsM={preview.outlineM} />
      <p className="my-1">
        {fixed(preview.points, 0)} points from {from}, {quantity("distance", preview.lengthM, units)},{" "}
        {preview.hasHeights
          ? `${quantity("height", preview.climbM, units)} of climb (${quantity("height", preview.rawClimbM, units)} raw), highest ${quantity("height", preview.highestM, units)}`
          : "no elevations"}
        ; {preview.firstDate === undefined ? "no times" : `recorded from ${longDate(preview.firstDate)}`}.
      </p>
      {gaps.length > 0 && (
        <div className="my-2 rounded bg-caution-wash px-3 py-2" data-testid="gaps">
          <b>{gaps.length === 1 ? "A gap" : `${gaps.length} gaps`} of more than 2 km:</b>{" "}
          {gaps
            .slice(0, 5)
            .map(({ lengthM, before, after }) => {
              const where = before === "" ? "" : ` between ${before} and ${after}`;
              return `${quantity("distance", lengthM, units)}${where}`;
            })
            .join("; ")}
          .
          {(["line", "ride"] as const).map((how) => (
            <label key={how} className="mt-1 flex items-center gap-2">
              <input type="radio" name="crossing" checked={crossed === how} onChange={() => cross(how)} />
              {how === "line"
                ? `Bridge ${gaps.length === 1 ? "it with a straight line" : "them with straight lines"}`
                : "Go by bus or train"}
            </label>
          ))}
          <p className="m-0 text-xs text-muted">Or add the missing file, leave a track out, or change the order.</p>
        </div>
      )}
      <p className="my-1 text-muted">
        {repairs.gaps.length === 0
          ? "No gaps"
          : `${counted(repairs.gaps.length, "gap")} (longest ${quantity("distance", Math.max(...repairs.gaps.map((gap) => gap.lengthM)), units)})`}
        ; {faults.length === 0 ? "nothing to repair" : `repaired: ${faults.join(", ")}`}.
        {repairs.spacingM > WIDE_M &&
          ` Points are ${quantity("distance", repairs.spacingM, units)} apart, so bends and climbs in between are cut off.`}
      </p>
      {heightlessM > 0 && preview.hasHeights && (
        <p className="my-1" data-testid="heightless">
          <b>{quantity("distance", heightlessM, units)} without elevations:</b> the climb there isn’t known and counts
          as an even slope.
        </p>
      )}
      {problems.length > 0 && <ProblemList problems={problems} />}
    </>
  );
}

/** From here on a track misses bends, and ups and downs, that feet do not. */
const WIDE_M = 250;

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
        `${toPx((i / (heightsM.length - 1)) * 330)},${toPx(44 - ((height - low) / Math.max(1, high - low)) * 40)}`,
    )
    .join(" ");
  return (
    <svg viewBox="0 0 330 46" className="my-1 block w-full" role="img" aria-label="Elevation along the track">
      <polygon points={`0,46 ${points} 330,46`} fill="var(--ground)" />
    </svg>
  );
}
