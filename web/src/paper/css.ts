/**
 * How papers look, on the screen and printed: black on white, in millimetres. It goes with the paper wherever that
 * goes, so it knows nothing of the application’s own styles.
 */
export const PAPER_SIZES = {
  a4: { word: "A4", page: "210mm 297mm", marginMm: 10, columns: 3, rows: 3, card: { wMm: 62, hMm: 88 } },
  letter: { word: "Letter", page: "8.5in 11in", marginMm: 10, columns: 3, rows: 3, card: { wMm: 63, hMm: 80 } },
  a5: { word: "A5", page: "148mm 210mm", marginMm: 9, columns: 2, rows: 2, card: { wMm: 62, hMm: 92 } },
} as const;

export type PaperSize = keyof typeof PAPER_SIZES;
export const isPaperSize = (text: string): text is PaperSize => Object.hasOwn(PAPER_SIZES, text);

/** At-rules of pages hold for a whole document, so they stand apart. */
export function pageCss(size: PaperSize): string {
  const { page, marginMm } = PAPER_SIZES[size];
  return `@page { size: ${page}; margin: ${marginMm}mm; @bottom-right { content: counter(page); font: 8pt sans-serif; } }`;
}

export function paperCss(size: PaperSize): string {
  const { columns, card } = PAPER_SIZES[size];
  return `
.paper { color: #000; background: #fff; font: 9.5pt/1.35 "Gepack Figures", "Atkinson Hyperlegible Next Variable", "Atkinson Hyperlegible Next", system-ui, sans-serif; font-variant-numeric: tabular-nums; overflow-wrap: break-word; }
.paper * { box-sizing: border-box; }
.paper .sheet { break-after: page; padding: 0; }
.paper .sheet:last-child { break-after: auto; }
.paper h2 { margin: 0 0 1mm; font-size: 14pt; line-height: 1.2; break-after: avoid; }
.paper h2 + p, .paper h3 + p { break-after: avoid; }
.paper h3 { margin: 3mm 0 0.5mm; font-size: 10.5pt; display: flex; justify-content: space-between; gap: 3mm; border-top: 0.5mm solid #000; padding-top: 0.5mm; break-after: avoid; }
.paper p { margin: 0 0 1.5mm; }
.paper .small { color: #333; font-size: 8.5pt; }
.paper table { width: 100%; border-collapse: collapse; }
.paper th { text-align: left; border-bottom: 0.3mm solid #000; padding: 0.6mm 1.5mm 0.6mm 0; vertical-align: bottom; font-size: 8.5pt; }
.paper td { border-bottom: 0.15mm solid #999; padding: 0.6mm 1.5mm 0.6mm 0; vertical-align: baseline; }
.paper .sheet.run { break-after: auto; margin-bottom: 6mm; }
.paper .sheet.run + .sheet:not(.run) { break-before: page; }
.paper tr, .paper .part { break-inside: avoid; }
.paper thead { display: table-header-group; }
.paper .num { text-align: right; white-space: nowrap; }
.paper .tick { width: 4mm; }
.paper .night td { font-weight: 600; }
.paper ul { list-style: none; margin: 0; padding: 0; }
.paper li { display: flex; gap: 2mm; border-bottom: 0.15mm solid #999; padding: 0.4mm 0; break-inside: avoid; }
.paper li > .text { flex: 1; min-width: 0; }
.paper .two { columns: 2; column-gap: 8mm; }
.paper .label { border: 0.6mm solid #000; padding: 5mm; break-inside: avoid; }
.paper .label .address { font-size: 16pt; font-weight: 700; white-space: pre-line; line-height: 1.3; }
.paper .cut { border-top: 0.3mm dashed #000; margin: 4mm 0; text-align: center; font-size: 8pt; height: 0; }
.paper .cards { display: grid; grid-template-columns: repeat(${columns}, ${card.wMm}mm); grid-auto-rows: minmax(${card.hMm}mm, auto); justify-content: center; }
.paper .card { border: 0.2mm dashed #666; margin: 0 -0.2mm -0.2mm 0; padding: 3mm; font-size: 8pt; line-height: 1.3; display: flex; flex-direction: column; break-inside: avoid; min-width: 0; }
.paper .card .top { display: flex; justify-content: space-between; gap: 2mm; font-weight: 700; }
.paper .card .way { font-size: 10.5pt; font-weight: 700; line-height: 1.2; margin: 0.5mm 0 1mm; }
.paper .card dl { display: grid; grid-template-columns: auto 1fr; gap: 0 2mm; margin: 0; }
.paper .card dt { color: #333; }
.paper .card dd { margin: 0; text-align: right; min-width: 0; }
.paper .card .notes { flex: 1; min-height: 10mm; margin-top: 1.5mm; border-top: 0.2mm solid #000; color: #333; font-size: 7.5pt; display: flex; justify-content: space-between; gap: 2mm; }
.paper .card .notes span { flex: 1; }
.paper svg { display: block; width: 100%; height: 32mm; margin: 2mm 0; }
@media screen {
  .paper { padding: 6mm; }
  .paper .sheet { border-bottom: 0.3mm solid #999; padding-bottom: 6mm; margin-bottom: 6mm; }
  .paper .sheet:last-child { border: 0; margin: 0; }
}
@media screen and (max-width: 640px) {
  .paper { padding: 3mm; }
  .paper .cards { grid-template-columns: minmax(0, 1fr); }
  .paper .two { columns: 1; }
  .paper .wide, .paper table { display: block; overflow-x: auto; }
}`;
}
