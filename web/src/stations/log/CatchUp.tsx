/** Several days at once: as planned, out of files with times, or from the simulated tracker; looked at, then kept in one step. */
import { useMemo, useRef, useState } from "react";
import {
  dayNumber,
  isoOfDay,
  nodeOf,
  walkedOf,
  type LogDay,
  type Plan,
  type PlanResult,
  type WalkedM,
  type WalkedRecord,
} from "@gepack/core";
import { keepCards } from "../../edit/log.ts";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";
import { BlankNumber } from "../../ui/BlankNumber.tsx";
import { DateField } from "../../ui/DateField.tsx";
import { FilesButton, TIMED_FILES } from "../../ui/FilesButton.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { TypedText } from "../../ui/TypedText.tsx";
import { weekdayDate } from "../../units/date.ts";
import { CATCH_WORDS } from "../../words/log.ts";
import type { Say } from "../../words/say.ts";
import { JobStopped } from "../../worker/client.ts";
import { MOST_CATCH_DAYS, plannedRows, recordRows, rowDistances, withoutBlanks, type CatchRow } from "./catchUp.ts";
import { endAt, readEnd, type EndFields } from "./endPlace.ts";
import { nameAt, namedPlaces, nextDate } from "./today.ts";
import { useTracker } from "./useTracker.ts";
import { useDraft } from "../../store/drafts.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  say: Say;
}

const USUAL_DAYS = 3;
/** Hours of the tracker's clock in one of ours. */
const SPEEDS = [
  ["3600", "one hour per second"],
  ["21600", "one day in four seconds"],
  ["1", "real time"],
] as const;
/** More of a record than this away from the trail is asked about first. */
const MOST_AWAY_SHARE = 0.5;

export function CatchUp({ plan, result, say }: Props) {
  const places = useMemo(() => namedPlaces(plan, result), [plan, result]);
  const [rows, setRows] = useState<readonly CatchRow[]>([]);
  const [doubtful, setDoubtful] = useState<WalkedRecord>();
  const [message, setMessage] = useState<string>();
  const [fraction, setFraction] = useState<number>();
  const running = useRef<AbortController>(null);
  const next = nextDate(plan);
  const [until, setUntil] = useState<string>();
  const untilDate = until !== undefined && until >= next ? until : isoOfDay(dayNumber(next)! + USUAL_DAYS - 1);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number][0]>("3600");
  const tracker = useTracker(result.profile);
  const fromTracker = useMemo(
    () => tracker.told && recordRows(plan, result, tracker.told.record, places, false),
    [plan, result, tracker.told, places],
  );
  const rest = (): void => {
    tracker.clear();
    setRows([]);
    setDoubtful(undefined);
    setMessage(undefined);
  };
  const take = (record: WalkedRecord): void => {
    setDoubtful(undefined);
    const found = recordRows(plan, result, record, places, true);
    setRows(found);
    if (found.length === 0) setMessage("None of these days ends near this trail. Nothing was changed.");
  };
  const read = (files: readonly File[]): void => {
    rest();
    const mine = (running.current = new AbortController());
    setFraction(0);
    calculator()
      .readDays(
        { files: files.map((file) => ({ file, name: file.name })), profile: result.profile },
        { signal: mine.signal, onProgress: setFraction },
      )
      .then(({ record, problems }) => {
        if (problems.length > 0) setMessage(problems.join(" "));
        if (record.isUntimed)
          setMessage(
            [
              ...problems,
              "No point in this file has a time, so it can’t be split into days. Nothing was changed.",
            ].join(" "),
          );
        else if (record.awayShare > MOST_AWAY_SHARE) setDoubtful(record);
        else take(record);
      })
      .catch((error: unknown) => {
        if (!(error instanceof JobStopped)) report(error);
      })
      .finally(() => setFraction(undefined));
  };
  const shown = rows.length > 0 ? rows : (fromTracker ?? []);
  useDraft(shown.length > 0 || doubtful !== undefined);
  const setRow = (i: number, change: (row: CatchRow) => CatchRow): void => {
    tracker.stop();
    setRows(shown.map((row, r) => (r === i ? change(row) : row)));
  };
  const saveTaken = async (): Promise<void> => {
    const cards = taken.map(({ card }) => card);
    if (!(await keepCards(cards, result))) return;
    tracker.clear();
    // What was opened meanwhile stays.
    setRows((now) => (now === rows ? [] : now));
  };
  const distances = rowDistances(plan, result, shown);
  const taken = shown.filter(({ isTaken }) => isTaken);
  const field = { units: plan.trip.units } as const;
  const nameOf = (alongM: WalkedM): string => nameAt(places, alongM) ?? say.distance(alongM);
  return (
    <div className="is-form grid gap-2 py-2 text-sm" data-testid="catch-up">
      <div className="flex flex-wrap items-center gap-2">
        <button
          className="btn min-h-[44px]"
          onClick={() => {
            rest();
            setRows(plannedRows(plan, result, untilDate));
          }}
        >
          Fill in as planned, until
        </button>
        <DateField label="Until" bare required value={untilDate} near={next} onCommit={(date) => setUntil(date)} />
        <FilesButton
          className="btn min-h-[44px]"
          words="From recorded tracks…"
          label="Tracks of days you walked"
          accept={TIMED_FILES}
          disabled={fraction !== undefined}
          onFiles={read}
        />
        {fraction !== undefined && (
          <Progress label="Reading the days" fraction={fraction} onStop={() => running.current?.abort()} />
        )}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <button
          className="btn min-h-[44px]"
          onClick={() => {
            rest();
            const last = [...plan.log].sort((a, b) => a.date.localeCompare(b.date)).at(-1);
            tracker.follow(next, last?.trackM ?? 0, Number(speed));
          }}
        >
          Follow the tracker (simulated)
        </button>
        <Pick bare label="Tracker speed" value={speed} options={SPEEDS} onPick={setSpeed} />
        {tracker.isFollowing && (
          <button className="btn min-h-[44px]" onClick={tracker.stop}>
            Stop
          </button>
        )}
        {tracker.told && (
          <span role="status" className="text-muted" data-testid="tracker-says">
            {tracker.told.clock.slice(0, 16).replace("T", " ")} UTC, {tracker.told.positions} positions. Simulated; it
            walks the demo’s trail.
          </span>
        )}
      </div>
      {tracker.told && tracker.told.record.awayShare > MOST_AWAY_SHARE && (
        <p className="m-0 text-caution">{awayWords(tracker.told.record, say)}</p>
      )}
      {message !== undefined && (
        <p role="status" className="m-0 text-caution">
          {message}
        </p>
      )}
      {doubtful && (
        <div role="alert" className="rounded bg-caution-wash p-2">
          {awayWords(doubtful, say)} Is this the same hike?
          <div className="mt-1 flex flex-wrap gap-2">
            <button className="btn btn-strong" onClick={rest}>
              No, cancel
            </button>
            <button className="btn" onClick={() => take(doubtful)}>
              Yes, show its days
            </button>
          </div>
        </div>
      )}
      {shown.length > 0 && (
        <>
          <ul className="m-0 grid list-none gap-1 p-0" aria-label="Days to save">
            {shown.map(({ card, isTaken, about }, i) => {
              const { fromM, toM } = distances[i]!;
              const date = weekdayDate(card.date);
              const setCard = (fields: Partial<LogDay>): void =>
                setRow(i, (row) => ({ ...row, isTaken: true, card: withoutBlanks({ ...row.card, ...fields }) }));
              return (
                <li key={card.date} className="flex flex-wrap items-center gap-2 border-t border-rule pt-1">
                  <label className="flex min-h-[44px] w-[120px] items-center gap-2 font-semibold">
                    <input
                      type="checkbox"
                      checked={isTaken}
                      onChange={() => setRow(i, (row) => ({ ...row, isTaken: !row.isTaken }))}
                    />
                    {date}
                  </label>
                  <TypedText<EndFields>
                    label={`${date} ended at`}
                    bare
                    className="min-h-[44px]! w-[150px] text-base!"
                    shown={nameOf(toM)}
                    show={(end) => nameOf(walkedOf(result.profile, nodeOf(result.profile, end)))}
                    read={(text) => {
                      const end = readEnd(text, { places, nearM: toM, profile: result.profile, ...field });
                      return "error" in end ? end : { value: end };
                    }}
                    onCommit={setCard}
                  />
                  <span className="w-[150px]">
                    <b>{say.distance(toM - fromM)}</b>, total {say.distance(toM)}
                  </span>
                  <button className="btn min-h-[44px]" onClick={() => setCard(endAt(result.profile, fromM))}>
                    Rest day
                  </button>
                  <span className="w-[90px]">
                    <BlankNumber
                      {...field}
                      path="log.walkedH"
                      bare
                      label={`walked ${date}`}
                      value={card.walkedH}
                      onCommit={(walkedH) => setCard({ walkedH })}
                    />
                  </span>
                  {about.length > 0 && (
                    <span className="w-full text-xs text-caution">
                      {about.map((one) => CATCH_WORDS[one]).join("; ")}
                    </span>
                  )}
                </li>
              );
            })}
          </ul>
          <div className="flex flex-wrap gap-2">
            <button
              className="btn btn-strong min-h-[44px]"
              disabled={taken.length === 0}
              onClick={() => void saveTaken()}
            >
              {taken.length === 1 ? "Save this day" : `Save these ${taken.length} days`}
            </button>
            <button className="btn min-h-[44px]" onClick={rest}>
              Cancel
            </button>
          </div>
        </>
      )}
      <p className="m-0 max-w-[72ch] text-xs text-muted">
        Up to {MOST_CATCH_DAYS} days in one step you can undo. Files stay on this device. For a day already saved, only
        place and hours change, and only if you tick it.
      </p>
    </div>
  );
}

function awayWords({ awayShare, nearestM }: WalkedRecord, say: Say): string {
  return `${Math.round(10 * awayShare)} of 10 points are away from this trail; the nearest is ${say.distance(nearestM)} away.`;
}
