/** Twelve months from a climate table, pasted: read, asked about where the unit is in doubt, and taken in one step. */
import { useState } from "react";
import { readNormals, type ClimateStation } from "@gepack/core";
import { useDraft } from "../../store/drafts.ts";

type Rows = Partial<Pick<ClimateStation, "lowC" | "highC" | "precipMm" | "wetDays">>;

export function PasteMonths({ name, onTake }: { name: string; onTake: (rows: Rows) => Promise<boolean> }) {
  const [text, setText] = useState("");
  useDraft(text !== "");
  const [error, setError] = useState<string>();
  const [asks, setAsks] = useState(false);
  const read = async (given?: { fahrenheit: boolean }): Promise<void> => {
    const reading = readNormals(text, given);
    if ("error" in reading) {
      setAsks(false);
      return setError(reading.error);
    }
    setError(undefined);
    if (reading.value.asksFahrenheit) return setAsks(true);
    setAsks(false);
    if (await onTake(reading.value.rows)) setText("");
  };
  return (
    <details className="my-1 text-sm">
      <summary className="cursor-pointer text-pine">Paste monthly values</summary>
      <textarea
        className="field mt-1 min-h-[70px] w-full text-sm!"
        aria-label={`Monthly values for ${name}`}
        placeholder="One row of twelve lows and one of twelve highs; optional: rain in mm and wet days"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {asks ? (
        <p role="alert" className="my-1">
          No place is that hot in °C. Are these °F?{" "}
          <button className="btn" onClick={() => void read({ fahrenheit: true })}>
            Yes, °F
          </button>{" "}
          <button className="btn" onClick={() => setAsks(false)}>
            No, I’ll correct them
          </button>
        </p>
      ) : (
        <button className="btn mt-1" disabled={text.trim() === ""} onClick={() => void read()}>
          Use these months
        </button>
      )}
      {error !== undefined && (
        <p role="alert" className="my-1 text-danger">
          {error}
        </p>
      )}
    </details>
  );
}
