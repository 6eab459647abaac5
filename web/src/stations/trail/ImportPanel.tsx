/** Files that come to a plan that is there: another track for it, an alternate, places. */
import { useEffect, useState } from "react";
import type { Plan, Problem, TrackM } from "@gepack/core";
import { addAlternate } from "../../edit/route.ts";
import { Found } from "../../reading/Found.tsx";
import { partsOf, rowsOf, type FoundRow } from "../../reading/found.ts";
import { TrackDrop } from "../../reading/TrackDrop.tsx";
import { TrackFacts } from "../../reading/TrackFacts.tsx";
import { useTrackFile } from "../../reading/useTrackFile.ts";
import { calculator, editWithTrack, mainTracks } from "../../store/document.ts";
import { sentenceOf, tell } from "../../store/notices.ts";
import type { TrackPreview } from "../../worker/jobs.ts";

export function ImportPanel({ plan }: { plan: Plan }) {
  const reading = useTrackFile();
  const { phase, clear } = reading;
  return (
    <section id="own" aria-label="Files" className="mt-5">
      <h2 className="m-0 mb-1 text-base font-bold">Another file for this plan</h2>
      <TrackDrop reading={reading} kept="your plan is as it was" />
      {phase.is === "preview" && (
        <Preview plan={plan} preview={phase.preview} problems={phase.problems} onDone={clear} />
      )}
    </section>
  );
}

/** Places farther off than this from where they were have moved. */
const MOVED_M = 100;

interface Props {
  plan: Plan;
  preview: TrackPreview;
  problems: Problem[];
  onDone: () => void;
}

function Preview({ plan, preview, problems, onDone }: Props) {
  const { waypoints, track } = preview.file;
  const [rows, setRows] = useState<FoundRow[]>();
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    void calculator()
      .locateOn({ tracks: [track], places: waypoints })
      .then((located) => setRows(rowsOf(waypoints, preview.sorted, located)));
  }, [track, waypoints, preview.sorted]);
  const doing = (work: () => Promise<void>) => async (): Promise<void> => {
    setBusy(true);
    try {
      await work();
      onDone();
    } catch (error) {
      tell("failed", "Not taken; your plan is as it was.", sentenceOf(error));
      setBusy(false);
    }
  };
  const asAlternate = doing(async () => {
    const last = track.lonDeg.length - 1;
    const ends = [0, last].map((i) => ({ lonDeg: track.lonDeg[i]!, latDeg: track.latDeg[i]! }));
    const [from, to] = await calculator().locateOn({ tracks: await mainTracks(), places: ends });
    await addAlternate(track, [from!, to!], partsOf(rows ?? []));
  });
  return (
    <div className="rounded border border-pine px-3 py-2" data-testid="preview">
      <TrackFacts preview={preview} problems={problems} units={plan.trip.units} />
      {rows && rows.length > 0 && <Found rows={rows} onChange={setRows} />}
      <div className="mt-2 flex flex-wrap gap-2">
        <button className="btn btn-strong" disabled={busy || !rows} onClick={() => void asAlternate()}>
          Add it as an alternate
        </button>
        <button
          className="btn"
          disabled={busy || !rows}
          onClick={() => void doing(() => takeAsMain(plan, preview, rows ?? []))()}
        >
          Use it for this plan
        </button>
        <button className="btn" disabled={busy} onClick={onDone}>
          Leave it
        </button>
      </div>
    </div>
  );
}

/** Another main trail: places with coordinates move to where they lie on it, the others stay at their distance. */
async function takeAsMain(plan: Plan, { file: { track }, lengthM }: TrackPreview, rows: FoundRow[]): Promise<void> {
  const extra = partsOf(rows);
  const placed = [...plan.stops, ...plan.sources, ...plan.camps].filter(
    (row) => row.alternateId === undefined && row.lonDeg !== undefined && row.latDeg !== undefined,
  );
  const located = await calculator().locateOn({
    tracks: [track],
    places: placed.map((row) => ({ lonDeg: row.lonDeg!, latDeg: row.latDeg! })),
  });
  const byId = new Map(placed.map((row, i) => [row.id, Math.round(located[i]!.trackM)]));
  const moved = placed.filter((row) => Math.abs(row.trackM - byId.get(row.id)!) > MOVED_M);
  const within = (metres: number): TrackM => Math.min(lengthM, metres) as TrackM;
  await editWithTrack(`Use the track ${track.name}`, track, (draft) => {
    draft.trackIds = [track.id];
    for (const row of [...draft.stops, ...draft.sources, ...draft.camps])
      if (row.alternateId === undefined) row.trackM = within(byId.get(row.id) ?? row.trackM);
    for (const stretch of draft.stretches) {
      if (stretch.alternateId !== undefined) continue;
      stretch.fromM = within(stretch.fromM);
      stretch.toM = within(stretch.toM);
    }
    for (const list of ["stops", "sources", "camps", "stretches"] as const)
      draft[list].push(...(extra[list] as never[]));
  });
  if (moved.length === 0) return;
  const names = moved.slice(0, 5).map((row) => row.name);
  tell("note", `${moved.length} places moved by more than 100 m on the new track.`, names.join(", "));
}
