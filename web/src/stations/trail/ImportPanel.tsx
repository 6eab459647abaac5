/** A recorded track from a file: read in the worker with progress and cancel, previewed, then used. */
import { useState } from "react";
import { sourceSchema, stopSchema, type Plan, type Problem, type SortedKind, type TrackM } from "@gepack/core";
import { startTrip } from "../../edit/startTrip.ts";
import { TrackDrop } from "../../reading/TrackDrop.tsx";
import { TrackFacts } from "../../reading/TrackFacts.tsx";
import { useTrackFile } from "../../reading/useTrackFile.ts";
import { sentenceOf, tell } from "../../store/notices.ts";
import { calculator, replaceTrack } from "../../store/document.ts";
import type { TrackPreview } from "../../worker/jobs.ts";

type Taken = "stop" | "source" | "out";

export function ImportPanel({ plan }: { plan: Plan }) {
  const reading = useTrackFile();
  const { phase, clear } = reading;
  return (
    <section id="own" aria-label="Own track" className="mt-5">
      <h2 className="m-0 mb-1 text-base font-bold">Bring your own track</h2>
      <TrackDrop reading={reading} kept="your plan is as it was" />
      {phase.is === "preview" && (
        <Preview plan={plan} preview={phase.preview} problems={phase.problems} onDone={clear} />
      )}
    </section>
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
  const { waypoints, track } = preview.file;
  const [taken, setTaken] = useState<Taken[]>(() => preview.sorted.map(takenAs));
  const [busy, setBusy] = useState(false);
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
      const stations = await calculator().simulateOn({ track, sea: preview.seaGuess });
      await startTrip({
        track,
        lengthM: preview.lengthM,
        startDate: plan.trip.startDate,
        units: plan.trip.units,
        parts: { ...(await places()), climate: { stations } },
      });
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
      <TrackFacts preview={preview} problems={problems} units={plan.trip.units} />
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

/** By the waypoint's own words; what is neither stop nor water stays out, unless it is taken. */
function takenAs(kinds: readonly SortedKind[]): Taken {
  if (kinds.some(({ kind }) => kind === "water")) return "source";
  return kinds.some(({ kind }) => kind === "stop") ? "stop" : "out";
}
