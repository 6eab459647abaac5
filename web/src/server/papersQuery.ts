/** Which papers an address requires, and what is wrong with it. */
import { isPaperSize, PAPER_SIZES, type PaperSize } from "../paper/css.ts";
import { isPaperId, PAPER_IDS, type PaperId } from "../paper/papers.tsx";
import { queryOf } from "./query.ts";

export interface PapersQuery {
  papers: readonly PaperId[];
  size: PaperSize;
  /** From 1; the leg is one of all where none is needed. */
  hiker: number;
  leg: number | undefined;
}

const MOST_LEGS = 10_000;
const MOST_HIKERS = 6;

export function papersQuery(url: URL): { query: PapersQuery | undefined; bad: string[] } {
  const { number, bad } = queryOf(url);
  const hiker = number("hiker", 1, MOST_HIKERS, 1);
  const leg = number("leg", 0, MOST_LEGS, 0);
  const size = url.searchParams.get("size") ?? "a4";
  if (!isPaperSize(size)) bad.push(`size is “${short(size)}”; expected one of ${Object.keys(PAPER_SIZES).join(", ")}`);
  const names = (url.searchParams.get("papers") ?? "").split(",").filter((name) => name !== "");
  const papers = names.includes("booklet") ? PAPER_IDS : PAPER_IDS.filter((id) => names.includes(id));
  const unknown = names.find((name) => name !== "booklet" && !isPaperId(name));
  if (papers.length === 0 || unknown !== undefined)
    bad.push(
      `papers ${unknown === undefined ? "is missing" : `holds “${short(unknown)}”`}; expected booklet, or some of ${PAPER_IDS.join(", ")}`,
    );
  if (bad.length > 0 || !isPaperSize(size)) return { query: undefined, bad };
  return { query: { papers, size, hiker: Math.floor(hiker), leg: leg === 0 ? undefined : Math.floor(leg) }, bad };
}

const short = (text: string): string => text.slice(0, 30);
