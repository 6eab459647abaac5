/** Step four, optional: your kit list as you have it, in lines or as a table. */
import { useState } from "react";
import { FINISH_ID, START_ID, type KitTable, type Piece, type Units } from "@gepack/core";
import { corrected, Understood, type Corrections } from "../reading/Understood.tsx";
import { calculator } from "../store/trail.ts";
import { useDraft } from "../store/drafts.ts";
import { report } from "../store/notices.ts";
import { FilesButton } from "../ui/FilesButton.tsx";
import { quantity } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";

/** The hiker of a new trip. */
const HIKER_ID = "me";
const NONE: Corrections = new Map();

interface Props {
  units: Units;
  onChange: (pieces: readonly Piece[]) => void;
}

export function Kit({ units, onChange }: Props) {
  const [text, setText] = useState("");
  const [read, setRead] = useState<KitTable>();
  const [corrections, setCorrections] = useState(NONE);
  useDraft(text !== "" || read !== undefined);
  const pieces = read ? corrected(read.pieces, corrections) : [];
  const show = (table: KitTable | undefined, how: Corrections): void => {
    setRead(table);
    setCorrections(how);
    onChange(table ? corrected(table.pieces, how) : []);
  };
  const take = (file: File): void => {
    calculator()
      .readKit({ file, name: file.name, hikerId: HIKER_ID, fromStopId: START_ID, toStopId: FINISH_ID })
      .then((table) => show(table, NONE), report);
  };
  const totalG = pieces.reduce((sum, { massG, quantity: count }) => sum + massG * count, 0);
  return (
    <div className="text-sm">
      <p className="m-0 mb-2 max-w-[72ch] text-muted">
        Any list does: one item per line, or a table. Without one the plan starts from a few usual items.
      </p>
      {read === undefined || pieces.length === 0 ? (
        <>
          <label className="block font-semibold">
            Your kit list
            <textarea
              className="field mt-1 block h-[120px] w-full max-w-[620px] font-normal"
              placeholder={"tent 2 lb 3 oz\nquilt 20F 680 g\n2x bottle 1 L 38 g\npoles 430 (worn)"}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </label>
          <div className="mt-2 flex flex-wrap gap-2">
            <button className="btn" disabled={text.trim() === ""} onClick={() => take(new File([text], "Pasted list"))}>
              Read list
            </button>
            <FilesButton
              words="Choose a file"
              label="Kit list as a file"
              accept=".csv,.tsv,.txt,.xlsx"
              disabled={false}
              onFiles={([chosen]) => chosen && take(chosen)}
            />
          </div>
        </>
      ) : (
        <>
          <p className="mt-0 mb-1">
            <b>{counted(pieces.length, "item")}</b>, {quantity("mass", totalG / 1000, units)} in all.{" "}
            <button className="btn ml-2" onClick={() => show(undefined, NONE)}>
              Paste again
            </button>
          </p>
          <Understood
            pieces={pieces}
            units={units}
            onChange={(piece) => show(read, new Map(corrections).set(piece.id, piece))}
          />
        </>
      )}
      {read && read.problems.length > 0 && (
        <ul className="m-0 mt-1 pl-5">
          {read.problems.map(({ place, sentence, severity }) => (
            <li key={`${place} ${sentence}`} className={severity === "error" ? "text-danger" : "text-muted"}>
              {place}: {sentence}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
