/** All papers in one place: which of them, on what paper, for which legs; a preview, printed, saved as a page, shared. */
import { useEffect, useMemo, useRef, useState } from "react";
import { Printer } from "lucide-react";
import { Dialog } from "radix-ui";
import type { Plan, PlanResult } from "@gepack/core";
import { save, shareFile } from "../frame/files.ts";
import { useSelection } from "../store/selection.ts";
import { remember, useSettings } from "../store/settings.ts";
import { closePapers, usePapers } from "../store/papers.ts";
import { Pick } from "../ui/Pick.tsx";
import { Progress } from "../ui/Progress.tsx";
import { firstName } from "../words/names.ts";
import { isPaperSize, pageCss, PAPER_SIZES, paperCss, type PaperSize } from "./css.ts";
import { paperPage, type PaperChoice } from "./document.ts";
import { FOR_HOME, PAPER_IDS, PAPERS, type PaperId } from "./papers.tsx";
import { usePaperSheets } from "./usePaperSheets.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
}

const SIZES = (Object.keys(PAPER_SIZES) as PaperSize[]).map((size) => [size, PAPER_SIZES[size].word] as const);

export default function PaperDialog({ plan, result }: Props) {
  const request = usePapers((state) => state.request)!;
  const legIndex = useSelection((state) => Math.min(state.legIndex, result.legs.length - 1));
  const [who, setWho] = useState(useSelection.getState().hikerIndex);
  const [papers, setPapers] = useState(request.papers);
  const [reach, setReach] = useState<"all" | "leg">("all");
  const [one, setOne] = useState(request.boxKey);
  const kept = useSettings((state) => state.paperSize);
  const size = isPaperSize(kept) ? kept : "a4";
  const choice = useMemo(
    (): PaperChoice => ({
      papers,
      size,
      who: Math.min(who, plan.hikers.length - 1),
      legs: reach === "leg" ? [legIndex] : undefined,
      boxKey: one,
    }),
    [papers, size, who, plan.hikers.length, reach, legIndex, one],
  );
  const { sheets, fraction, done, stop } = usePaperSheets(plan, result, choice);
  const choose = (ids: readonly PaperId[]): void => {
    setPapers(PAPER_IDS.filter((id) => ids.includes(id)));
    setOne(undefined);
  };
  const page = (): string => paperPage(plan.trip.name, size, sheets);
  const name = `${plan.trip.name} paper`;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && closePapers()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" data-chrome />
        <Dialog.Content className="dialog max-w-[1120px]" data-paper data-testid="papers" aria-describedby={undefined}>
          <style>{pageCss(size)}</style>
          <div className="mb-2 flex flex-wrap items-center gap-2" data-chrome>
            <Dialog.Title className="m-0 flex-1 text-lg font-bold">Print and share</Dialog.Title>
            {!done && <Progress label="Preparing the sheets" fraction={fraction} onStop={stop} />}
            <button className="btn btn-strong" disabled={!done || sheets.length === 0} onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
            <button
              className="btn"
              disabled={!done || sheets.length === 0}
              onClick={() => save(page(), name, "html", "text/html")}
            >
              Save as web page
            </button>
            {canShare() && (
              <button
                className="btn"
                disabled={!done || sheets.length === 0}
                onClick={() => void shareFile(new Blob([page()], { type: "text/html" }), name, "html")}
              >
                Share
              </button>
            )}
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
          <div className="grid grid-cols-1 gap-x-5 min-[900px]:grid-cols-[270px_minmax(0,1fr)]">
            <form className="is-form text-sm" data-chrome onSubmit={(event) => event.preventDefault()}>
              <fieldset className="m-0 border-0 p-0">
                <legend className="mb-1 font-bold">What to print</legend>
                {PAPER_IDS.map((id) => (
                  <label key={id} className="flex items-baseline gap-2 py-[1px]">
                    <input
                      type="checkbox"
                      checked={papers.includes(id)}
                      onChange={(event) =>
                        choose(event.target.checked ? [...papers, id] : papers.filter((other) => other !== id))
                      }
                    />
                    <span>
                      {PAPERS[id].word} <span className="text-xs text-muted">{PAPERS[id].note}</span>
                    </span>
                  </label>
                ))}
              </fieldset>
              <div className="my-2 flex flex-wrap gap-2">
                <button type="button" className="btn" onClick={() => choose(PAPER_IDS)}>
                  Whole booklet
                </button>
                <button type="button" className="btn" onClick={() => choose(FOR_HOME)}>
                  For someone at home
                </button>
                <button type="button" className="btn" onClick={() => choose([])}>
                  None
                </button>
              </div>
              <div className="grid grid-cols-2 gap-2">
                <Pick label="Size" value={size} options={SIZES} onPick={(size) => remember("paperSize", size)} />
                <Pick
                  label="Legs"
                  value={reach}
                  options={[
                    ["all", "all"],
                    ["leg", `leg ${legIndex + 1} only`],
                  ]}
                  onPick={setReach}
                />
                {plan.hikers.length > 1 && (
                  <Pick
                    label="Loads and water for"
                    value={String(choice.who)}
                    options={plan.hikers.map((hiker, h) => [String(h), firstName(hiker)] as const)}
                    onPick={(h) => setWho(Number(h))}
                  />
                )}
              </div>
              <p className="my-2 text-xs text-muted">
                {sheets.length === 1 ? "1 sheet" : `${sheets.length} sheets`}. Cut cards out along the dashed lines. In
                your browser’s print dialog choose {PAPER_SIZES[size].word} and no scaling. A saved page works offline;
                anyone who has it can read everything on it, including addresses.
              </p>
            </form>
            <Preview size={size} sheets={sheets} empty={done && sheets.length === 0} />
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** In a tree of its own, so that paper looks as paper wherever it is drawn. */
function Preview({ size, sheets, empty }: { size: PaperSize; sheets: readonly string[]; empty: boolean }) {
  const host = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const root = host.current!.shadowRoot ?? host.current!.attachShadow({ mode: "open" });
    root.innerHTML = `<style>${paperCss(size)}</style><div class="paper">${sheets.join("\n")}</div>`;
  }, [size, sheets]);
  return (
    <div className="paper-preview min-w-0 border border-rule bg-white" role="region" aria-label="Preview" tabIndex={0}>
      {empty && <p className="m-4 text-sm text-black">Nothing to print. Choose a document or other legs.</p>}
      <div ref={host} />
    </div>
  );
}

const canShare = (): boolean => {
  const probe = new File(["x"], "x.html", { type: "text/html" });
  return typeof navigator.canShare === "function" && navigator.canShare({ files: [probe] });
};
