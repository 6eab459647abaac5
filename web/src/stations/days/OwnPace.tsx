/** Your own pace out of files of past walks: speed by slope, breaks, hours, and the factor on the chosen school; each to be taken. */
import { useRef, useState } from "react";
import type { Hiker, PastPace, Plan, SlopePace } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";
import { FilesButton, TIMED_FILES } from "../../ui/FilesButton.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { fixed, quantity, unitSymbol } from "../../units/quantity.ts";
import { firstName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { JobStopped } from "../../worker/client.ts";
import type { PastReading } from "../../worker/readPast.ts";
import { changeHiker } from "../../ui/HikerFields.tsx";

/** What the document allows of them. */
const FACTOR = [0.3, 2] as const;
const HOURS = [1, 20] as const;
const within = (value: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, value));

export function OwnPace({ plan, hiker }: { plan: Plan; hiker: Hiker }) {
  const say = sayIn(plan);
  const running = useRef<AbortController>(null);
  const [fraction, setFraction] = useState<number>();
  const [found, setFound] = useState<PastReading>();
  const read = (files: readonly File[]): void => {
    const mine = (running.current = new AbortController());
    setFraction(0);
    setFound(undefined);
    calculator()
      .readPast(
        { files: files.map((file) => ({ file, name: file.name.replace(/\.\w+$/, "") })), hiker },
        { signal: mine.signal, onProgress: setFraction },
      )
      .then(setFound)
      .catch((error: unknown) => {
        if (!(error instanceof JobStopped)) report(error);
      })
      .finally(() => setFraction(undefined));
  };
  return (
    <section aria-label={`${hiker.name}’s pace from past hikes`} className="text-sm">
      <h3 className="m-0 mb-1 text-base font-bold">{firstName(hiker)}’s pace from past hikes</h3>
      <div className="flex flex-wrap items-center gap-3">
        <FilesButton
          words="Choose recorded tracks…"
          label={`Past hikes of ${hiker.name}`}
          accept={TIMED_FILES}
          disabled={fraction !== undefined}
          onFiles={read}
        />
        {fraction !== undefined && (
          <Progress label="Reading past hikes" fraction={fraction} onStop={() => running.current?.abort()} />
        )}
        <span className="text-muted">GPX, TCX or FIT; you can pick several. They stay on this device.</span>
      </div>
      {found && <PaceText plan={plan} hiker={hiker} reading={found} say={say} />}
    </section>
  );
}

function PaceText({ plan, hiker, reading, say }: { plan: Plan; hiker: Hiker; reading: PastReading; say: Say }) {
  const { pace, problems } = reading;
  const { units } = plan.trip;
  const change = changeHiker(hiker);
  const breaks = pace.walkH > 0 ? pace.breakH / pace.walkH : 0;
  const hours = pace.days > 0 ? pace.walkH / pace.days : 0;
  const unit = unitSymbol("distance", units);
  const columns: Column<SlopePace>[] = [
    { id: "slope", head: "slope", names: true, cell: slopeWords },
    { id: "way", head: "walked", right: true, cell: ({ distanceM }) => quantity("distance", distanceM, units) },
    {
      id: "speed",
      head: `${unit}/h`,
      right: true,
      cell: ({ distanceM, walkH }) => quantity("distance", distanceM / walkH, units).replace(` ${unit}`, ""),
    },
  ];
  return (
    <div className="mt-2 grid gap-2" data-testid="past-pace">
      {problems.map((problem) => (
        <p key={problem} role="alert" className="m-0 rounded bg-caution-wash px-2 py-1">
          {problem}
        </p>
      ))}
      <p className="m-0">{paceWords(pace, say)}</p>
      {pace.factor && (
        <p className="m-0">
          Speed: {fixed(100 * pace.factor.value, 0)} % of the chosen model (90 % range:{" "}
          {fixed(100 * pace.factor.low, 0)} to {fixed(100 * pace.factor.high, 0)} %); now{" "}
          {fixed(100 * hiker.pace.speedFactor, 0)} %.{" "}
          <button
            className="btn ml-1"
            onClick={() =>
              change("speed from past hikes", (target) => {
                target.pace.speedFactor = within(Math.round(pace.factor!.value * 100) / 100, FACTOR);
              })
            }
          >
            Use {fixed(100 * pace.factor.value, 0)} %
          </button>
        </p>
      )}
      {pace.walkH > 0 && (
        <p className="m-0">
          Breaks: {fixed(100 * breaks, 0)} % of walking time; now {fixed(100 * hiker.pace.breakFraction, 0)} %.{" "}
          <button
            className="btn ml-1"
            onClick={() =>
              change("breaks from past hikes", (target) => void (target.pace.breakFraction = within(breaks, [0, 1])))
            }
          >
            Use these breaks
          </button>
        </p>
      )}
      {pace.days > 0 && (
        <p className="m-0">
          {say.hours(hours)} of walking a day; now {say.hours(hiker.pace.hoursFreshH)} at first,{" "}
          {say.hours(hiker.pace.hoursFitH)} once fit.{" "}
          <button
            className="btn ml-1"
            onClick={() =>
              change("hours from past hikes", (target) => {
                target.pace.hoursFreshH = within(Math.round(hours * 10) / 10, HOURS);
              })
            }
          >
            Use for the first day
          </button>
        </p>
      )}
      {pace.bySlope.length > 0 && (
        <div className="max-w-[360px]">
          <Table
            label="Speed by slope"
            columns={columns}
            rows={pace.bySlope}
            idOf={({ fromPercent }) => String(fromPercent)}
          />
        </div>
      )}
      <p className="m-0 text-xs text-muted">
        We don’t know what you carried or what the ground was like on those hikes. If they were lighter or easier than
        this one, use less.
      </p>
    </div>
  );
}

function paceWords({ distanceM, climbM, walkH, days, factor, leftOutM, untimed }: PastPace, say: Say): string {
  if (untimed) return "These files have no times, so they say nothing about pace.";
  const walked = `${say.distance(distanceM)}, ${say.height(climbM)} up, in ${say.hours(walkH)} on ${days === 1 ? "a day" : `${days} days`}.`;
  const out = leftOutM > 500 ? `Left out ${say.distance(leftOutM)} that was too fast for walking.` : "";
  return `${walked}${out}${factor ? "" : " Too little to say how you compare: it takes four hours of walking or more."}`;
}

function slopeWords({ fromPercent, toPercent }: SlopePace): string {
  if (fromPercent === -100) return `steeper down than ${-toPercent} %`;
  if (toPercent === 100) return `steeper up than ${fromPercent} %`;
  if (fromPercent < 0 && toPercent > 0) return "level";
  return fromPercent < 0 ? `${-toPercent} to ${-fromPercent} % down` : `${fromPercent} to ${toPercent} % up`;
}
