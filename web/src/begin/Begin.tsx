/** A trip of your own, started on one page: the track, what is on it, who walks and when. */
import { useEffect, useRef, useState, type ReactNode } from "react";
import { assumedEveryM, sectionSchema, type Piece, type Units } from "@gepack/core";
import { alternatesFound } from "../edit/route.ts";
import { startTrip } from "../edit/startTrip.ts";
import { useAfterDrawing } from "../frame/useAfterDrawing.ts";
import { useTheme } from "../frame/useTheme.ts";
import { Found } from "../reading/Found.tsx";
import { assumedSources, dryWays, partsOf, withAssumedShops } from "../reading/found.ts";
import { TableMapping } from "../reading/TableMapping.tsx";
import { TrackDrop } from "../reading/TrackDrop.tsx";
import { TrackFacts } from "../reading/TrackFacts.tsx";
import { useFound } from "../reading/useFound.ts";
import { isSettled, useTrackFile, type Previewed, type TrackFiles } from "../reading/useTrackFile.ts";
import { begin } from "../store/opening.ts";
import { calculator } from "../store/trail.ts";
import { sentenceOf } from "../store/notices.ts";
import { freshId } from "../store/made.ts";
import { remember, useSettings, welcome } from "../store/settings.ts";
import { Pick } from "../ui/Pick.tsx";
import { PACES, UNITS, nextSeason, partsBetween, usualUnits, type Answers } from "./answers.ts";
import { Asked } from "./Asked.tsx";
import { Ends, type Walked } from "./Ends.tsx";
import { Kit } from "./Kit.tsx";
import { You } from "./You.tsx";
import { searchOf, useSelection } from "../store/selection.ts";

export default function Begin() {
  useEffect(begin, []);
  useTheme();
  useAfterDrawing(true);
  const reading = useTrackFile();
  const { phase } = reading;
  const chosen = useSettings((state) => state.newTripUnits);
  const word = chosen === "" ? usualUnits(navigator.language) : chosen;
  const units = UNITS[word];
  return (
    <div className="mx-auto max-w-[980px] px-[18px] py-5">
      <h1 className="m-0 text-2xl font-extrabold">Start your own trip</h1>
      <p className="mt-1 mb-4 max-w-[70ch] text-muted">
        Three steps to a leg-by-leg plan with food, water, camps and pack weight. Everything stays on this device and
        you can change it later.
      </p>
      <div className="mb-4 max-w-[220px]">
        <Pick
          label="Units"
          value={word}
          options={[
            ["metric", "km, kg, °C"],
            ["imperial", "miles, pounds, °F"],
          ]}
          onPick={(picked) => remember("newTripUnits", picked)}
        />
      </div>
      <Step number={1} name="Your track">
        <TrackDrop reading={reading} kept="no trip was created" />
        {phase.is === "preview" && <Preview reading={reading} phase={phase} units={units} />}
      </Step>
      {phase.is === "preview" && phase.preview.points > 0 ? (
        <Rest key={phase.preview.track.id} phase={phase} units={units} />
      ) : (
        <>
          <Step number={2} name="What lies on it" waits />
          <Step number={3} name="You and your start" waits />
          <Step number={4} name="Your kit, optional" waits />
        </>
      )}
    </div>
  );
}

function Preview({ reading, phase, units }: { reading: TrackFiles; phase: Previewed; units: Units }) {
  const { points, waypoints, table } = phase.preview;
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="rounded border border-pine px-3 py-2" data-testid="preview">
      <TableMapping reading={reading} />
      {points > 0 ? (
        <TrackFacts reading={reading} units={units} />
      ) : (
        <p role="alert" className="my-1">
          <b>Add a track first.</b>{" "}
          {table
            ? phase.problems[0]?.sentence
            : `The file only has ${waypoints.length} places: add the track they’re on.`}
        </p>
      )}
      <div className="mt-1 flex flex-wrap gap-2">
        <button className="btn" onClick={() => input.current?.click()}>
          Add a file
        </button>
        <button className="btn" onClick={reading.clear}>
          Use another file
        </button>
      </div>
      <input
        ref={input}
        type="file"
        multiple
        className="sr-only"
        tabIndex={-1}
        aria-label="More files"
        data-testid="more-files"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          void reading.add(files);
        }}
      />
    </div>
  );
}

/** The steps that need the track. */
function Rest({ phase, units }: { phase: Previewed; units: Units }) {
  const { preview } = phase;
  const { track, parts, firstDate, lengthM } = preview;
  const isCoarse = parts.length === 0;
  const { rows, setRows } = useFound(phase);
  const [answers, setAnswers] = useState<Answers>(() => ({
    name: track.name,
    hikerName: "",
    sex: "female",
    ageY: 35,
    bodyKg: 68,
    heightCm: 170,
    pace: "steady",
    startDate: nextSeason(track.latDeg[0]!, new Date(), firstDate),
    sea: preview.seaGuess,
  }));
  const [walked, setWalked] = useState<Walked>();
  const ground = walked ?? { fromM: 0, toM: lengthM };
  const usualEveryM = assumedEveryM(track.latDeg[0]!, answers.sea);
  /** What the hiker set; undefined keeps to what is usual in the region. */
  const [assumed, setAssumed] = useState<{ everyM: number | undefined }>();
  const everyM = assumed ? assumed.everyM : usualEveryM;
  const [kit, setKit] = useState<readonly Piece[]>([]);
  const form = useRef<HTMLDivElement>(null);
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<string>();
  const start = async (): Promise<void> => {
    // What was refused is not replaced by a default in silence.
    const refused = form.current?.querySelector<HTMLElement>("[aria-invalid=true]");
    if (refused) return refused.focus();
    setBusy(true);
    setFailure(undefined);
    try {
      const { name, hikerName, sex, ageY, bodyKg, heightCm, pace, startDate, sea } = answers;
      const stations = await calculator().simulateOn({ track, sea });
      const taken = withAssumedShops(rows ?? [], ground.toM);
      const parts = partsOf(taken);
      const water = everyM === undefined ? [] : assumedSources(dryWays(taken, ground), everyM);
      const sections =
        phase.crossed === "ride"
          ? partsBetween(preview.gaps, ground)
          : walked
            ? [sectionSchema.parse({ id: freshId(), name: "The hike", ...walked })]
            : [];
      await startTrip({
        track,
        alternates: await alternatesFound([track], preview.alternates),
        sections,
        heightless: preview.repairs.heightless,
        kit,
        coarse: isCoarse,
        lengthM,
        name,
        startDate,
        units,
        hiker: { ...named(hikerName), sex, ageY, bodyKg, heightCm, pace: PACES[pace].settings },
        parts: { ...parts, sources: [...parts.sources, ...water], climate: { stations } },
      });
      welcome();
      window.location.assign(`/first/${searchOf(useSelection.getState())}`);
    } catch (error) {
      setFailure(sentenceOf(error));
      setBusy(false);
    }
  };
  const settled = isSettled(phase);
  return (
    <div ref={form}>
      <Step number={2} name="What lies on it">
        {rows ? (
          <>
            <Found rows={rows} units={units} onChange={setRows} />
            <Asked
              rows={rows}
              onChange={setRows}
              walked={ground}
              everyM={everyM}
              usualEveryM={usualEveryM}
              onEvery={(next) => setAssumed({ everyM: next })}
              units={units}
            />
          </>
        ) : (
          <p className="m-0 text-muted">Matching places to the track…</p>
        )}
        <Ends lengthM={lengthM} units={units} walked={walked} onChange={setWalked} />
      </Step>
      <Step number={3} name="You and your start">
        <You answers={answers} units={units} onChange={setAnswers} lengthM={ground.toM - ground.fromM} />
      </Step>
      <Step number={4} name="Your kit, optional">
        <Kit units={units} onChange={setKit} />
      </Step>
      {failure && (
        <p role="alert" className="my-2 rounded bg-caution-wash px-3 py-2 text-danger">
          Couldn’t create the trip. {failure}
        </p>
      )}
      {!settled && <p className="my-2 text-sm">First decide what to do with the gaps in the track (above).</p>}
      <button className="btn btn-strong" disabled={busy || rows === undefined || !settled} onClick={() => void start()}>
        {busy ? "Calculating…" : "Calculate my plan"}
      </button>
      <p className="mt-2 max-w-[70ch] text-xs text-muted">
        Weather is simulated from latitude, elevation and distance to the sea until you enter better data. A plan isn’t
        a forecast; local rules and land managers come first.
      </p>
    </div>
  );
}

function Step({
  number,
  name,
  waits,
  children,
}: {
  number: number;
  name: string;
  waits?: boolean;
  children?: ReactNode;
}) {
  return (
    <section aria-label={name} className={`mb-6 ${waits ? "opacity-60" : ""}`}>
      <h2 className="m-0 mb-2 flex items-baseline gap-3 border-b border-rule pb-1 text-lg font-bold">
        <span className="figure text-pine">{number}</span> {name}
      </h2>
      {waits ? <p className="m-0 text-sm text-muted">Available once the track is loaded.</p> : children}
    </section>
  );
}

function named(hikerName: string): { name?: string } {
  const name = hikerName.trim();
  return name === "" ? {} : { name };
}
