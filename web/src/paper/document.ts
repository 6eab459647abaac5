/** Papers as HTML: in parts, so that whoever waits sees how far it is; and as one page that needs nothing else. */
import { renderToStaticMarkup } from "react-dom/server";
import type { Plan, PlanResult } from "@gepack/core";
import { escaped } from "../exports/html.ts";
import { pageCss, paperCss, type PaperSize } from "./css.ts";
import { paperFacts, type Wanted } from "./facts.ts";
import { PAPERS, runsOn, type PaperId } from "./papers.tsx";

export interface PaperChoice extends Wanted {
  papers: readonly PaperId[];
  size: PaperSize;
}

/** Sheet after sheet of the chosen papers, with how many there will be. */
export function* paperSheets(
  plan: Plan,
  result: PlanResult,
  { papers, ...wanted }: PaperChoice,
): Generator<{ html: string; of: number }, void> {
  const facts = paperFacts(plan, result, wanted);
  const sheets = papers.flatMap((id) => PAPERS[id].sheets(facts).map((sheet) => ({ sheet, id })));
  for (const { sheet, id } of sheets) {
    const kind = runsOn(id) ? "sheet run" : "sheet";
    yield {
      html: `<section class="${kind}" data-paper-of="${id}">${breakable(renderToStaticMarkup(sheet))}</section>`,
      of: sheets.length,
    };
  }
}

/** No column is as narrow as to break a word: only what no column could hold may be broken, a sign of markup being one letter. */
export function breakable(html: string): string {
  return html.replace(/(?<=>)[^<]+/g, (text) =>
    text.replace(/(?:&[^;\s]{1,8};|[^\s\-&]){25,}/gu, (word) =>
      word.replace(/(?:&[^;]{1,8};|.){20}(?=.)/gu, "$&<wbr>"),
    ),
  );
}

/** A page of its own: no script, nothing fetched. */
export function paperPage(name: string, size: PaperSize, sheets: readonly string[]): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(name)}</title><style>body { margin: 0 auto; max-width: 210mm; }
${pageCss(size)}${paperCss(size)}</style></head><body><main class="paper">${sheets.join("\n")}</main></body></html>
`;
}

export function paperHtml(plan: Plan, result: PlanResult, choice: PaperChoice): string {
  const sheets = [...paperSheets(plan, result, choice)].map(({ html }) => html);
  return paperPage(plan.trip.name, choice.size, sheets);
}
