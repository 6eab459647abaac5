/** Where a track comes in: dropped or chosen, with progress, stop, and what was wrong with the last one. */
import { useRef, useState, type DragEvent } from "react";
import type { Problem } from "@gepack/core";
import { Progress } from "../ui/Progress.tsx";
import type { TrackFiles } from "./useTrackFile.ts";
import { fixed } from "../units/quantity.ts";
import { useDraft } from "../store/drafts.ts";

/** `kept` ends the sentence on a file that was refused: what is as it was. */
export function TrackDrop({ reading: { phase, read, stop }, kept }: { reading: TrackFiles; kept: string }) {
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
            Choose files
          </button>
          <p className="mt-2 mb-0 text-xs text-muted">
            GPX, KML, KMZ, TCX, FIT or GeoJSON, up to 150 MB. Point tables and mile tables too (CSV, TSV, XLSX with name
            and distance). Files stay on this device.
          </p>
          <PasteTable onPaste={(file) => void read([file])} />
        </div>
      )}
      <input
        ref={input}
        type="file"
        multiple
        accept=".gpx,.kml,.kmz,.tcx,.fit,.geojson,.json,.csv,.tsv,.txt,.xlsx,application/gpx+xml"
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
          Reading {phase.name}: {fixed(phase.points, 0)} points
          <Progress label="Reading the file" fraction={phase.share} stop="Stop reading" onStop={stop} />
        </div>
      )}
      {phase.is === "refused" && (
        <div role="alert" className="mt-2 rounded bg-caution-wash px-3 py-2">
          <b className="text-danger">
            Couldn’t read {phase.name}; {kept}.
          </b>
          <ProblemList problems={phase.problems} />
        </div>
      )}
    </>
  );
}

/** A table from the clipboard, as if it were a file. */
function PasteTable({ onPaste }: { onPaste: (file: File) => void }) {
  const [text, setText] = useState("");
  useDraft(text !== "");
  return (
    <details className="mt-2 text-sm">
      <summary className="cursor-pointer text-pine">Or paste a table of places</summary>
      <textarea
        className="field mt-1 min-h-[90px] w-full text-sm!"
        aria-label="Table of places"
        placeholder={"name, distance, kind, note: one place per row, as copied from a spreadsheet"}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <button
        className="btn mt-1"
        disabled={text.trim() === ""}
        onClick={() => onPaste(new File([text], "Pasted table.csv", { type: "text/csv" }))}
      >
        Import table
      </button>
    </details>
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
