/** Files that come to a plan that is there: places, an alternate, another track for it. */
import { useEffect, useRef, useState } from "react";
import type { Plan, Profile, TrackM } from "@gepack/core";
import { addAlternate, alternatesFound } from "../../edit/route.ts";
import { Found } from "../../reading/Found.tsx";
import { partsOf, type FoundRow } from "../../reading/found.ts";
import { TableMapping } from "../../reading/TableMapping.tsx";
import { TrackDrop } from "../../reading/TrackDrop.tsx";
import { TrackFacts } from "../../reading/TrackFacts.tsx";
import { useFound } from "../../reading/useFound.ts";
import { isSettled, useTrackFile, type Previewed, type TrackFiles } from "../../reading/useTrackFile.ts";
import { editWithTrack } from "../../store/document.ts";
import { calculator, mainTracks } from "../../store/trail.ts";
import { sentenceOf, tell } from "../../store/notices.ts";
import { IMPORT_FAILED } from "../../words/cautions.ts";
import type { TrackPreview } from "../../worker/jobs.ts";
import { MergePanel } from "./MergePanel.tsx";

interface Props {
  plan: Plan;
  profile: Profile;
}

interface PanelProps extends Props {
  /** A table that was pasted elsewhere on the page. */
  offered: File | undefined;
}

export function ImportPanel({ plan, profile, offered }: PanelProps) {
  const reading = useTrackFile();
  const { phase, clear } = reading;
  const panel = useRef<HTMLElement>(null);
  const read = useRef(reading.read);
  useEffect(() => {
    read.current = reading.read;
  });
  useEffect(() => {
    if (!offered) return;
    panel.current?.scrollIntoView();
    void read.current([offered]);
  }, [offered]);
  return (
    <section ref={panel} id="own" aria-label="Files" className="mt-5">
      <h2 className="m-0 mb-1 text-base font-bold">Add another file to this plan</h2>
      <TrackDrop reading={reading} kept="your plan hasn’t changed" />
      {phase.is === "preview" && (
        <div className="rounded border border-pine px-3 py-2" data-testid="preview">
          <TableMapping reading={reading} placesOnly />
          {phase.preview.parts.length > 0 ? (
            <Track plan={plan} profile={profile} reading={reading} phase={phase} />
          ) : (
            <MergePanel plan={plan} phase={phase} onDone={clear} />
          )}
          <button className="btn mt-2" onClick={clear}>
            Cancel
          </button>
        </div>
      )}
    </section>
  );
}

/** Places farther off than this from where they were have moved. */
const MOVED_M = 100;

function Track({ plan, profile, reading, phase }: Props & { reading: TrackFiles; phase: Previewed }) {
  const { preview } = phase;
  const { rows, setRows } = useFound(phase);
  const [busy, setBusy] = useState(false);
  const [placesOnly, setPlacesOnly] = useState(false);
  const doing = (work: () => Promise<boolean>) => async (): Promise<void> => {
    setBusy(true);
    try {
      if (await work()) return reading.clear();
    } catch (error) {
      tell("failed", IMPORT_FAILED, sentenceOf(error));
    }
    setBusy(false);
  };
  const asAlternate = doing(async () => {
    const [found] = await alternatesFound(await mainTracks(), [preview.track]);
    return addAlternate(found!, partsOf(rows ?? []));
  });
  const asMain = doing(() => takeAsMain(plan, profile, preview, rows ?? []));
  if (placesOnly) return <MergePanel plan={plan} phase={phase} onDone={reading.clear} />;
  const idle = busy || !rows || !isSettled(phase);
  return (
    <>
      <TrackFacts reading={reading} units={plan.trip.units} />
      {rows && rows.length > 0 && <Found rows={rows} onChange={setRows} />}
      <div className="mt-2 flex flex-wrap gap-2">
        <button className="btn btn-strong" disabled={idle} onClick={() => void asAlternate()}>
          Add as an alternate
        </button>
        <button className="btn" disabled={idle} onClick={() => void asMain()}>
          Use this track
        </button>
        {rows && rows.length > 0 && (
          <button className="btn" disabled={busy} onClick={() => setPlacesOnly(true)}>
            Import places only
          </button>
        )}
      </div>
    </>
  );
}

/**
 * Another main trail: places with coordinates move to where they are on it, the others stay at their distance. What
 * lay along a table's trail keeps its share of the distance.
 */
async function takeAsMain(plan: Plan, profile: Profile, preview: TrackPreview, rows: FoundRow[]): Promise<boolean> {
  const { track, lengthM } = preview;
  const extra = partsOf(rows);
  const placed = [...plan.stops, ...plan.sources, ...plan.camps, ...plan.pins].filter(
    (row) => row.alternateId === undefined && row.lonDeg !== undefined && row.latDeg !== undefined,
  );
  const located = await calculator().locateOn({
    tracks: [track],
    places: placed.map((row) => ({ lonDeg: row.lonDeg!, latDeg: row.latDeg! })),
  });
  const byId = new Map(placed.map((row, i) => [row.id, Math.round(located[i]!.trackM)]));
  const moved = placed.filter((row) => Math.abs(row.trackM - byId.get(row.id)!) > MOVED_M);
  const times = plan.route.coarse ? lengthM / profile.route.mainLengthM : 1;
  const within = (metres: number): TrackM => Math.min(lengthM, Math.round(metres * times)) as TrackM;
  const side = await alternatesFound([track], preview.alternates);
  const isStored = await editWithTrack(`Use the track ${track.name}`, track, (draft) => {
    draft.trackIds = [track.id];
    draft.route.coarse = false;
    draft.route.heightless = preview.repairs.heightless as Plan["route"]["heightless"];
    for (const row of [...draft.stops, ...draft.sources, ...draft.camps, ...draft.pins]) {
      if (row.alternateId !== undefined) continue;
      const metres = byId.get(row.id);
      row.trackM = metres === undefined ? within(row.trackM) : (metres as TrackM);
    }
    for (const row of [
      ...draft.stretches,
      ...draft.route.closures,
      ...draft.route.sections,
      ...draft.climate.forecasts,
    ]) {
      if ("alternateId" in row && row.alternateId !== undefined && "kind" in row) continue;
      row.fromM = within(row.fromM);
      row.toM = within(row.toM);
    }
    for (const row of [...draft.climate.stations, ...draft.climate.readings]) row.trackM = within(row.trackM);
    for (const list of ["stops", "sources", "camps", "stretches"] as const)
      draft[list].push(...(extra[list] as never[]));
  });
  if (!isStored) return false;
  for (const found of side) await addAlternate(found, { stops: [], sources: [], camps: [], stretches: [] });
  if (moved.length === 0) return true;
  const names = moved.slice(0, 5).map((row) => row.name);
  tell("note", `${moved.length} places moved by more than 100 m on the new track.`, names.join(", "));
  return true;
}
