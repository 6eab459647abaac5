/** Files of one trail, read in the worker with progress, stop and what was refused; then chosen from. */
import { useRef, useState } from "react";
import {
  guessColumns,
  readMileTable,
  type MileTable,
  type PartChoice,
  type Problem,
  type TableReading,
} from "@gepack/core";
import { calculator } from "../store/trail.ts";
import { sentenceOf } from "../store/notices.ts";
import { JobStopped } from "../worker/client.ts";
import type { TrackPreview } from "../worker/jobs.ts";
import { freshId } from "../store/made.ts";
import { useDraft } from "../store/drafts.ts";

export type Phase =
  | { is: "idle" }
  | { is: "reading"; share: number; points: number; name: string }
  | { is: "refused"; name: string; several: boolean; problems: Problem[] }
  | Previewed;

export interface Previewed {
  is: "preview";
  preview: TrackPreview;
  problems: Problem[];
  /** How long gaps are crossed, once somebody has said so. */
  crossed: Crossing | undefined;
  /** How the table of places is read, where there is one. */
  table: ReadTable | undefined;
}

/** On foot in a straight line, or by bus or train. */
export type Crossing = "line" | "ride";

export interface ReadTable {
  reading: TableReading;
  found: MileTable;
  /** Of a trail from the table alone: where it starts and ends. */
  startLatDeg: number;
  endLatDeg: number;
}

/** In the middle of where most people walk: to be corrected. */
const SOME_LAT_DEG = 45;

export interface TrackFiles {
  phase: Phase;
  read: (files: readonly File[]) => Promise<void>;
  /** Further files of the same trail. */
  add: (files: readonly File[]) => Promise<void>;
  /** Which of the tracks make the trail, in another way than now. */
  choose: (choices: readonly PartChoice[]) => Promise<void>;
  cross: (how: Crossing) => void;
  /** What the table's columns mean, or where its trail is, in another way than now. */
  readAs: (fields: Partial<Omit<ReadTable, "found">>) => Promise<void>;
  stop: () => void;
  clear: () => void;
}

/** May it be used as it stands? Nothing is joined over a long gap without asking. */
export function isSettled(phase: Phase): boolean {
  if (phase.is !== "preview") return false;
  return phase.preview.points > 0 && (phase.crossed !== undefined || phase.preview.gaps.length === 0);
}

export function useTrackFile(): TrackFiles {
  const [phase, setPhase] = useState<Phase>({ is: "idle" });
  useDraft(phase.is === "reading" || phase.is === "preview");
  const running = useRef<AbortController>(null);
  const taken = useRef<readonly File[]>([]);
  const id = useRef("");
  const read = async (files: readonly File[]): Promise<void> => {
    const [first, ...others] = files;
    if (!first) return;
    const name = others.length === 0 ? first.name : `${files.length} files`;
    const refuse = (problems: Problem[]): void =>
      setPhase({ is: "refused", name, several: others.length > 0, problems });
    setPhase({ is: "reading", share: 0, points: 0, name });
    try {
      running.current = new AbortController();
      id.current = `track-${freshId()}`;
      const args = { ...namedFile(first), more: others.map(namedFile), trackId: id.current };
      const { value, problems } = await calculator().readTrack(args, {
        signal: running.current.signal,
        onProgress: (share, points) =>
          setPhase((now) => (now.is === "reading" ? { ...now, share, points: Number(points) } : now)),
      });
      if (!value) return refuse(problems);
      taken.current = files;
      const begun: Previewed = { is: "preview", preview: value, problems, crossed: undefined, table: undefined };
      if (!value.table) return setPhase(begun);
      const reading = guessColumns(value.table.rows);
      await takeTable(begun, { reading, startLatDeg: SOME_LAT_DEG, endLatDeg: SOME_LAT_DEG });
    } catch (error) {
      if (error instanceof JobStopped) return setPhase({ is: "idle" });
      refuse([{ severity: "error", place: "file", sentence: sentenceOf(error) }]);
    }
  };
  /** Reads the table so; where there is no track it makes the trail. */
  const takeTable = async (now: Previewed, how: Omit<ReadTable, "found">): Promise<void> => {
    const found = readMileTable(now.preview.table!.rows, how.reading);
    const next: Previewed = { ...now, table: { ...how, found } };
    // At once, so that the next change is made on this one.
    setPhase(next);
    if (now.preview.parts.length > 0) return;
    const { startLatDeg, endLatDeg } = how;
    const place = { id: id.current, name: now.preview.table!.name, startLatDeg, endLatDeg };
    const laid = await calculator().layTable({ rows: found.rows, place });
    setPhase((at) => {
      if (at.is !== "preview" || at.table?.found !== found) return at;
      if (typeof laid !== "string") return { ...at, problems: [], preview: { ...at.preview, ...laid } };
      const problems: Problem[] = [{ severity: "error", place: "table", sentence: laid }];
      return { ...at, problems, preview: { ...at.preview, points: 0 } };
    });
  };
  const choose = async (choices: readonly PartChoice[]): Promise<void> => {
    if (phase.is !== "preview") return;
    const { parts, name } = phase.preview;
    // At once, so that the next choice is made on this one.
    setPhase({ ...phase, preview: { ...phase.preview, choices } });
    const laid = await calculator().arrange({ parts, choices, trackId: id.current, name });
    setPhase((now) => {
      if (now.is !== "preview" || now.preview.choices !== choices) return now;
      if (typeof laid !== "string")
        return { ...now, crossed: undefined, preview: { ...now.preview, ...laid, choices } };
      return { ...now, problems: [{ severity: "error", place: "file", sentence: laid }] };
    });
  };
  return {
    phase,
    read,
    add: (files) => read([...taken.current, ...files]),
    choose,
    readAs: async (fields) => {
      if (phase.is === "preview" && phase.table) await takeTable(phase, { ...phase.table, ...fields });
    },
    cross: (crossed) => setPhase((now) => (now.is === "preview" ? { ...now, crossed } : now)),
    stop: () => running.current?.abort(),
    clear: () => setPhase({ is: "idle" }),
  };
}

function namedFile(file: File): { file: File; name: string } {
  return { file, name: file.name.replace(/\.(gpx|kml|kmz|tcx|fit|geojson|json|csv|tsv|txt|xlsx)$/i, "") };
}
