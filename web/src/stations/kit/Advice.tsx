/** Advice of a friend: a page to send, the marks that come back, and what each says beside its item. */
import { useState } from "react";
import { advisedPieces, readAdvice, type LegResult, type Plan, type PlanResult } from "@gepack/core";
import { dropAdvice, takeAdvice } from "../../edit/advice.ts";
import { setRow } from "../../edit/rows.ts";
import { advicePage } from "../../exports/advicePage.ts";
import { save } from "../../frame/files.ts";
import { FilesButton } from "../../ui/FilesButton.tsx";
import { counted } from "../../words/counted.ts";
import { ADVICE_WORDS } from "../../words/kit.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
}

const MOST_BYTES = 2_000_000;

export function Advice({ plan, result, leg, who }: Props) {
  const say = sayIn(plan);
  const [notice, setNotice] = useState<string>();
  const rows = plan.kit.flatMap((piece) => (piece.advice ?? []).map((mark) => ({ piece, mark })));
  const read = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES) return setNotice("That file is too large to be marks on a kit list.");
    const { value, problems } = readAdvice(await file.text());
    if (!value) return setNotice(problems[0]!.sentence);
    const found = advisedPieces(plan.kit, value);
    const gone = found.filter(({ pieceId }) => pieceId === undefined).map(({ mark }) => mark.name);
    if (!(await takeAdvice(value))) return;
    const missing = gone.length === 0 ? "" : ` No longer in your kit: ${gone.join(", ")}.`;
    setNotice(`${counted(found.length - gone.length, "mark")} added.${missing}`);
  };
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2 max-w-[72ch] text-muted">
        Save the list as a page and send it. Your friend marks items in any browser, without a network, and sends the
        marks back as a file.
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <button
          className="btn"
          onClick={() => save(advicePage(plan, result, leg, who), `${plan.trip.name} kit list`, "html", "text/html")}
        >
          Save page
        </button>
        <FilesButton
          words="Import marks"
          label="Marks of a friend"
          accept=".json,application/json"
          disabled={false}
          onFiles={([chosen]) => void (chosen && read(chosen))}
        />
        {rows.length > 0 && (
          <button className="btn" onClick={() => void dropAdvice(rows.length)}>
            Remove all marks
          </button>
        )}
      </div>
      {notice && (
        <p role="status" className="my-1">
          {notice}
        </p>
      )}
      {rows.length > 0 && (
        <ul aria-label="Marks on your kit" className="m-0 mt-2 list-none p-0">
          {rows.map(({ piece, mark: { from, said, remark, on } }) => (
            <li
              key={`${piece.id} ${from}`}
              className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule py-1"
            >
              <span className="min-w-[160px] flex-1" dir="auto">
                <b>{ADVICE_WORDS[said]}</b> {piece.name}, {say.g(piece.massG * piece.quantity)}
                {remark !== "" && <span className="text-muted">: {remark}</span>}
              </span>
              <span className="text-muted">
                {from}, {say.date(on)}
              </span>
              {said !== "keep" && piece.spans.length > 0 && (
                <button
                  className="btn"
                  onClick={() => void setRow("kit", piece.id, `Leave ${piece.name} at home`, { spans: [] })}
                >
                  Leave at home
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
