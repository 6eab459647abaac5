/** Reports on many sources: pasted lines or a table, read line by line before they are taken. */
import { useState } from "react";
import Papa from "papaparse";
import { readReports, type Plan, type ReportReading } from "@gepack/core";
import { takeReports } from "../../edit/water.ts";
import { todayHere } from "../../store/made.ts";
import { emptied, useDraft } from "../../store/drafts.ts";

export function Reports({ plan }: { plan: Plan }) {
  const [text, setText] = useState("");
  useDraft(text !== "");
  const read = text.trim() === "" ? undefined : reading(text, plan);
  return (
    <div className="py-2 text-sm">
      <p className="m-0 mb-1 max-w-[72ch] text-muted">
        One report per line: date, source name, “flowing”, “trickle” or “dry”, and a note, separated by commas,
        semicolons or tabs.
      </p>
      <textarea
        className="field h-[88px] w-full max-w-[560px] font-normal"
        aria-label="Reports, one per line"
        placeholder="2027-05-02, Fork spring, dry, asked at the hut"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <label className="mt-1 block">
        or choose a file{" "}
        <input
          type="file"
          accept=".csv,.tsv,.txt"
          data-testid="reports-file"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void file.text().then(setText);
            event.target.value = "";
          }}
        />
      </label>
      {read && (
        <div data-testid="reports-read">
          <ul className="m-0 my-1 pl-5 text-danger">
            {read.problems.map(({ place, sentence }) => (
              <li key={`${place} ${sentence}`}>
                {place}: {sentence}
              </li>
            ))}
          </ul>
          <button
            className="btn btn-strong"
            disabled={read.reports.length === 0}
            onClick={() => void takeReports(read.reports).then((isStored) => isStored && setText(emptied(text)))}
          >
            Add {read.reports.length === 1 ? "1 report" : `${read.reports.length} reports`}
          </button>
        </div>
      )}
    </div>
  );
}

function reading(text: string, plan: Plan): ReportReading {
  const { data } = Papa.parse<string[]>(text.slice(0, 500_000), { delimitersToGuess: [",", ";", "\t"] });
  const latest = plan.trip.fictional ? undefined : todayHere();
  return readReports(data, plan.sources, latest);
}
