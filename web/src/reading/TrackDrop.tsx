/** Where a track comes in: dropped or chosen, with progress, stop, and what was wrong with the last one. */
import { useRef, useState, type DragEvent } from "react";
import type { Problem } from "@gepack/core";
import { Progress } from "../ui/Progress.tsx";
import type { TrackFile } from "./useTrackFile.ts";

/** `kept` ends the sentence on a file that was refused: what is as it was. */
export function TrackDrop({ reading: { phase, read, stop }, kept }: { reading: TrackFile; kept: string }) {
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    void read([...event.dataTransfer.files]);
  };
  return (
    <>
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
          Drop a track file here, or the files of its sections, or{" "}
          <button className="btn ml-1" onClick={() => input.current?.click()}>
            Choose a file
          </button>
          <p className="mt-2 mb-0 text-xs text-muted">
            GPX, KML, KMZ, TCX, GeoJSON, or a table of points (CSV with lat and lon), up to 150 MB. It stays on this
            device.
          </p>
        </div>
      )}
      <input
        ref={input}
        type="file"
        multiple
        accept=".gpx,.kml,.kmz,.tcx,.geojson,.json,.csv,.tsv,.txt,application/gpx+xml"
        className="sr-only"
        tabIndex={-1}
        aria-label="Track file"
        data-testid="gpx-file"
        onChange={(event) => {
          // The list is the field's own: emptied with it.
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          void read(files);
        }}
      />
      {phase.is === "reading" && (
        <div className="rounded border border-rule px-3 py-3">
          Reading {phase.name}: {phase.points.toLocaleString("en")} points
          <Progress label="Reading the file" fraction={phase.share} stop="Stop reading" onStop={stop} />
        </div>
      )}
      {phase.is === "refused" && (
        <div role="alert" className="mt-2 rounded bg-caution-wash px-3 py-2">
          <b className="text-danger">
            {phase.name} {phase.several ? "were" : "was"} not read; {kept}.
          </b>
          <ProblemList problems={phase.problems} />
        </div>
      )}
    </>
  );
}

export function ProblemList({ problems }: { problems: Problem[] }) {
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
