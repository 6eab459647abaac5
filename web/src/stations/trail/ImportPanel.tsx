/** A recorded track from a file: read in the worker with progress and cancel, previewed, then used. */
import { useRef, useState, type DragEvent } from "react";
import { sourceSchema, stopSchema, type Plan, type Problem, type TrackM, type Waypoint } from "@gepack/core";
import { startTrip } from "../../edit/startTrip.ts";
import { sentenceOf, tell } from "../../store/notices.ts";
import { calculator, replaceTrack } from "../../store/document.ts";
import { Progress } from "../../ui/Progress.tsx";
import { quantity } from "../../units/quantity.ts";
import { JobStopped } from "../../worker/client.ts";
import type { TrackPreview } from "../../worker/jobs.ts";

type Phase =
  | { is: "idle" }
  | { is: "reading"; share: number; points: number; name: string }
  | { is: "refused"; name: string; problems: Problem[] }
  | { is: "preview"; preview: TrackPreview; problems: Problem[] };

type Taken = "stop" | "source" | "out";

export function ImportPanel({ plan }: { plan: Plan }) {
  const [phase, setPhase] = useState<Phase>({ is: "idle" });
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const running = useRef<AbortController>(null);

  const read = async (file: File): Promise<void> => {
    setPhase({ is: "reading", share: 0, points: 0, name: file.name });
    try {
      running.current = new AbortController();
      const args = { file, name: file.name.replace(/\.gpx$/i, ""), trackId: `track-${crypto.randomUUID()}` };
      const { value, problems } = await calculator().readTrack(args, {
        signal: running.current.signal,
        onProgress: (share, points) =>
          setPhase((now) => (now.is === "reading" ? { ...now, share, points: Number(points) } : now)),
      });
      if (value) setPhase({ is: "preview", preview: value, problems });
      else setPhase({ is: "refused", name: file.name, problems });
    } catch (error) {
      if (error instanceof JobStopped) return setPhase({ is: "idle" });
      setPhase({
        is: "refused",
        name: file.name,
        problems: [
          { severity: "error", place: "file", sentence: error instanceof Error ? error.message : String(error) },
        ],
      });
    }
  };
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) void read(file);
  };

  return (
    <section id="own" aria-label="Own track" className="mt-5">
      <h2 className="m-0 mb-1 text-base font-bold">Bring your own track</h2>
      {(phase.is === "idle" || phase.is === "refused") && (
        <div
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
          className={`rounded border border-dashed px-3 py-4 ${over ? "border-pine bg-pine-wash" : "border-muted"}`}
        >
          Drop a GPX file here, or{" "}
          <button className="btn ml-1" onClick={() => input.current?.click()}>
            Choose a GPX file
          </button>
          <p className="mt-2 mb-0 text-xs text-muted">
            GPX 1.0 or 1.1, tracks or routes, up to 150 MB. It stays on this device.
          </p>
        </div>
      )}
      <input
        ref={input}
        type="file"
        accept=".gpx,application/gpx+xml"
        className="sr-only"
        tabIndex={-1}
        aria-label="GPX file"
        data-testid="gpx-file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void read(file);
        }}
      />
      {phase.is === "reading" && (
        <div className="rounded border border-rule px-3 py-3">
          Reading {phase.name}: {phase.points.toLocaleString("en")} points
          <Progress
            label="Reading the file"
            fraction={phase.share}
            stop="Stop reading"
            onStop={() => running.current?.abort()}
          />
        </div>
      )}
      {phase.is === "refused" && (
        <div role="alert" className="mt-2 rounded bg-caution-wash px-3 py-2">
          <b className="text-danger">{phase.name} was not read; your plan is as it was.</b>
          <ProblemList problems={phase.problems} />
        </div>
      )}
      {phase.is === "preview" && (
        <Preview
          plan={plan}
          preview={phase.preview}
          problems={phase.problems}
          onDone={() => setPhase({ is: "idle" })}
        />
      )}
    </section>
  );
}

function ProblemList({ problems }: { problems: Problem[] }) {
  return (
    <ul className="my-1 list-none p-0">
      {problems.slice(0, 8).map((problem, i) => (
        <li key={i}>
          <span className="text-muted">{problem.place}:</span> {problem.sentence}
        </li>
      ))}
    </ul>
  );
}

function Preview({
  plan,
  preview,
  problems,
  onDone,
}: {
  plan: Plan;
  preview: TrackPreview;
  problems: Problem[];
  onDone: () => void;
}) {
  const { waypoints, track, from } = preview.file;
  const [taken, setTaken] = useState<Taken[]>(() => waypoints.map(guess));
  const [busy, setBusy] = useState(false);
  const units = plan.trip.units;
  const { mended } = preview;
  const places = async (): Promise<Pick<Plan, "stops" | "sources">> => {
    const located = await calculator().locateOn({ track, places: waypoints });
    const rows = waypoints.map((point, i) => ({
      id: crypto.randomUUID(),
      name: point.name,
      lonDeg: point.lonDeg,
      latDeg: point.latDeg,
      trackM: Math.round(located[i]!.trackM),
      offTrailM: Math.round(located[i]!.offM),
    }));
    return {
      stops: rows
        .filter((_, i) => taken[i] === "stop")
        .map((row) =>
          stopSchema.parse({ ...row, offTrailM: row.offTrailM < 300 ? 0 : Math.min(200_000, row.offTrailM) }),
        ),
      sources: rows
        .filter((_, i) => taken[i] === "source")
        .map((row) => sourceSchema.parse({ ...row, offTrailM: Math.min(20_000, row.offTrailM) })),
    };
  };
  const asTrip = async (): Promise<void> => {
    setBusy(true);
    try {
      await startTrip(track, await places(), plan.trip.startDate, preview.lengthM);
      onDone();
    } catch (error) {
      tell("failed", "The trip was not begun.", sentenceOf(error));
      setBusy(false);
    }
  };
  const asTrack = async (): Promise<void> => {
    setBusy(true);
    const extra = await places();
    const withPlace = [...plan.stops, ...plan.sources, ...plan.camps].filter(
      (row) => row.lonDeg !== undefined && row.latDeg !== undefined,
    );
    const located = await calculator().locateOn({
      track,
      places: withPlace.map((row) => ({ lonDeg: row.lonDeg!, latDeg: row.latDeg! })),
    });
    const byId = new Map(withPlace.map((row, i) => [row.id, located[i]!.trackM]));
    const moved = withPlace.filter((row, i) => Math.abs(row.trackM - located[i]!.trackM) > 100);
    const within = (metres: number): TrackM => Math.min(preview.lengthM, metres) as TrackM;
    await replaceTrack(track, (draft) => {
      for (const row of [...draft.stops, ...draft.sources, ...draft.camps])
        row.trackM = within(Math.round(byId.get(row.id) ?? row.trackM));
      for (const stretch of draft.stretches) {
        stretch.fromM = within(stretch.fromM);
        stretch.toM = within(stretch.toM);
      }
      draft.stops.push(...extra.stops);
      draft.sources.push(...extra.sources);
    });
    if (moved.length > 0)
      tell(
        "note",
        `${moved.length} places moved by more than 100 m on the new track.`,
        moved
          .slice(0, 5)
          .map((row) => row.name)
          .join(", "),
      );
    onDone();
  };
  return (
    <div className="rounded border border-pine px-3 py-2" data-testid="preview">
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
      {waypoints.length > 0 && (
        <fieldset className="my-2 max-h-[180px] overflow-auto border border-rule px-2 py-1">
          <legend className="px-1 font-semibold">Waypoints in the file</legend>
          {waypoints.map((point, i) => (
            <label key={i} className="flex items-center gap-2 py-0.5">
              <select
                className="field w-auto! min-h-[24px]! py-0! text-sm!"
                value={taken[i]}
                onChange={(event) =>
                  setTaken(taken.map((value, k) => (k === i ? (event.target.value as Taken) : value)))
                }
              >
                <option value="stop">stop</option>
                <option value="source">water</option>
                <option value="out">leave out</option>
              </select>
              {point.name}
            </label>
          ))}
        </fieldset>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <button className="btn btn-strong" disabled={busy} onClick={() => void asTrip()}>
          Begin a trip on it
        </button>
        <button className="btn" disabled={busy} onClick={() => void asTrack()}>
          Use it for this plan
        </button>
        <button className="btn" disabled={busy} onClick={onDone}>
          Leave it
        </button>
      </div>
    </div>
  );
}

/** A waypoint whose own words speak of water is offered as a source. */
function guess({ name, kind }: Waypoint): Taken {
  return /water|spring|creek|well|tank|tap|lake|source/i.test(`${name} ${kind}`) ? "source" : "stop";
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
