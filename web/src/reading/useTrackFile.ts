/** One trail from a file or several, read in the worker with progress, stop and what was refused. */
import { useRef, useState } from "react";
import type { Problem } from "@gepack/core";
import { calculator } from "../store/document.ts";
import { JobStopped } from "../worker/client.ts";
import type { TrackPreview } from "../worker/jobs.ts";

export type Phase =
  | { is: "idle" }
  | { is: "reading"; share: number; points: number; name: string }
  | { is: "refused"; name: string; several: boolean; problems: Problem[] }
  | { is: "preview"; preview: TrackPreview; problems: Problem[] };

export interface TrackFile {
  phase: Phase;
  read: (files: readonly File[]) => Promise<void>;
  stop: () => void;
  clear: () => void;
}

export function useTrackFile(): TrackFile {
  const [phase, setPhase] = useState<Phase>({ is: "idle" });
  const running = useRef<AbortController>(null);
  const read = async (files: readonly File[]): Promise<void> => {
    const [first, ...others] = files;
    if (!first) return;
    const name = others.length === 0 ? first.name : `${files.length} files`;
    setPhase({ is: "reading", share: 0, points: 0, name });
    try {
      running.current = new AbortController();
      const args = {
        ...namedFile(first),
        more: others.map(namedFile),
        trackId: `track-${crypto.randomUUID()}`,
      };
      const { value, problems } = await calculator().readTrack(args, {
        signal: running.current.signal,
        onProgress: (share, points) =>
          setPhase((now) => (now.is === "reading" ? { ...now, share, points: Number(points) } : now)),
      });
      if (value) setPhase({ is: "preview", preview: value, problems });
      else setPhase({ is: "refused", name, several: others.length > 0, problems });
    } catch (error) {
      if (error instanceof JobStopped) return setPhase({ is: "idle" });
      const sentence = error instanceof Error ? error.message : String(error);
      setPhase({
        is: "refused",
        name,
        several: others.length > 0,
        problems: [{ severity: "error", place: "file", sentence }],
      });
    }
  };
  return { phase, read, stop: () => running.current?.abort(), clear: () => setPhase({ is: "idle" }) };
}

function namedFile(file: File): { file: File; name: string } {
  return { file, name: file.name.replace(/\.(gpx|kml|kmz|tcx|geojson|json|csv|tsv|txt)$/i, "") };
}
