/** A trip of your own, started on one page: the track, what is on it, who walks and when. */
import { useEffect, useRef, useState, type ReactNode } from "react";
import { unitsSchema } from "@gepack/core";
import { alternatesFound } from "../edit/route.ts";
import { startTrip } from "../edit/startTrip.ts";
import { useAfterDrawing } from "../frame/useAfterDrawing.ts";
import { useTheme } from "../frame/useTheme.ts";
import { Found } from "../reading/Found.tsx";
import { partsOf } from "../reading/found.ts";
import { TableMapping } from "../reading/TableMapping.tsx";
import { TrackDrop } from "../reading/TrackDrop.tsx";
import { TrackFacts } from "../reading/TrackFacts.tsx";
import { useFound } from "../reading/useFound.ts";
import { isSettled, useTrackFile, type Previewed, type TrackFiles } from "../reading/useTrackFile.ts";
import { begin } from "../store/opening.ts";
import { calculator } from "../store/trail.ts";
import { sentenceOf } from "../store/notices.ts";
import { welcome } from "../store/settings.ts";
import { PACES, nextSeason, type Answers } from "./answers.ts";
import { Ends, type Walked } from "./Ends.tsx";
import { You } from "./You.tsx";
import { searchOf, useSelection } from "../store/selection.ts";

export default function Begin() {
  useEffect(begin, []);
  useTheme();
  useAfterDrawing(true);
  const reading = useTrackFile();
  const { phase } = reading;
  return (
    <div className="mx-auto max-w-[980px] px-[18px] py-5">
      <h1 className="m-0 text-2xl font-extrabold">Start your own trip</h1>
      <p className="mt-1 mb-4 max-w-[70ch] text-muted">
        Three steps to a leg-by-leg plan with food, water, camps and pack weight. Everything stays on this device and
        you can change it later.
      </p>
      <Step number={1} name="Your track">
        <TrackDrop reading={reading} kept="no trip was created" />
        {phase.is === "preview" && <Preview reading={reading} phase={phase} />}
      </Step>
      {phase.is === "preview" && phase.preview.points > 0 ? (
        <Rest key={phase.preview.track.id} phase={phase} />
      ) : (
        <>
          <Step number={2} name="What lies on it" waits />
          <Step number={3} name="You and your start" waits />
        </>
      )}
    </div>
  );
}

function Preview({ reading, phase }: { reading: TrackFiles; phase: Previewed }) {
  const { points, waypoints, table } = phase.preview;
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="rounded border border-pine px-3 py-2" data-testid="preview">
      <TableMapping reading={reading} />
      {points > 0 ? (
        <TrackFacts reading={reading} />
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
function Rest({ phase }: { phase: Previewed }) {
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
    units: "metric",
    sea: preview.seaGuess,
  }));
  const [walked, setWalked] = useState<Walked>();
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<string>();
  const start = async (): Promise<void> => {
    setBusy(true);
    setFailure(undefined);
    try {
      const { name, hikerName, sex, ageY, bodyKg, heightCm, pace, startDate, units, sea } = answers;
      const stations = await calculator().simulateOn({ track, sea });
      await startTrip({
        track,
        alternates: await alternatesFound([track], preview.alternates),
        walked,
        coarse: isCoarse,
        lengthM,
        name,
        startDate,
        units: unitsSchema.parse(
          units === "metric"
            ? {}
            : { distance: "mi", height: "ft", mass: "lb", smallMass: "oz", temperature: "F", volume: "qt" },
        ),
        hiker: { ...named(hikerName), sex, ageY, bodyKg, heightCm, pace: PACES[pace].settings },
        parts: { ...partsOf(rows ?? []), climate: { stations } },
      });
      welcome();
      window.location.assign(`/${searchOf(useSelection.getState())}`);
    } catch (error) {
      setFailure(sentenceOf(error));
      setBusy(false);
    }
  };
  const settled = isSettled(phase);
  return (
    <>
      <Step number={2} name="What lies on it">
        {rows ? (
          <Found rows={rows} onChange={setRows} />
        ) : (
          <p className="m-0 text-muted">Matching places to the track…</p>
        )}
        <Ends lengthM={lengthM} walked={walked} onChange={setWalked} />
      </Step>
      <Step number={3} name="You and your start">
        <You answers={answers} onChange={setAnswers} lengthM={walked ? walked.toM - walked.fromM : lengthM} />
      </Step>
      {failure && (
        <p role="alert" className="my-2 rounded bg-caution-wash px-3 py-2 text-danger">
          Couldn’t create the trip. {failure}
        </p>
      )}
      {!settled && <p className="my-2 text-sm">First decide what to do with the gaps in the track (above).</p>}
      <button className="btn btn-strong" disabled={busy || rows === undefined || !settled} onClick={() => void start()}>
        {busy ? "Calculating…" : "Show my plan"}
      </button>
      <p className="mt-2 max-w-[70ch] text-xs text-muted">
        Weather is simulated from latitude, elevation and distance to the sea until you enter better data. A plan isn’t
        a forecast; local rules and land managers come first.
      </p>
    </>
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
