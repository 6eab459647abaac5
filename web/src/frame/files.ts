/** Plan files out of and into the browser. */
import type { PlanFile } from "@gepack/core";
import { fetchExample, fetchOnTheTrail } from "../data/demo.ts";
import { type ExampleId } from "../words/examples.ts";
import { listPlans, rawPlan } from "../data/plans.ts";
import { exportText, takeImport } from "../store/document.ts";
import { useDocument } from "../store/documentState.ts";
import { freshId } from "../store/made.ts";
import { calculator } from "../store/trail.ts";
import { report, sentenceOf, tell } from "../store/notices.ts";
import { IMPORT_FAILED } from "../words/cautions.ts";

export async function savePlanFile(): Promise<void> {
  const text = await exportText();
  if (text !== undefined) save(text, useDocument.getState().plan?.trip.name ?? "plan");
}

/** The same in a tenth of the bytes, for mail; it is imported as it is. */
export async function savePackedPlan(): Promise<void> {
  const text = await exportText();
  if (text === undefined) return;
  const packed = new Blob([text]).stream().pipeThrough(new CompressionStream("gzip"));
  saveBlob(await new Response(packed).blob(), useDocument.getState().plan?.trip.name ?? "plan", "gepack.json.gz");
}

/** A plan that cannot be opened, as storage has it. */
export async function saveRawPlan({ id, name }: { id: string; name: string }): Promise<void> {
  save(await rawPlan(id), name);
}

export function save(text: string, name: string, ending = "gepack.json", type = "application/json"): void {
  saveBlob(new Blob([text], { type }), name, ending);
}

/** As every system takes it: letters of any script, figures and hyphens, not too long. */
export function fileName(name: string, ending: string): string {
  const plain = name
    .normalize("NFC")
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, "-")
    .slice(0, MOST_NAME)
    .replace(/^-|-$/g, "");
  return `${plain || "plan"}.${ending}`;
}
const MOST_NAME = 80;

/** The browser’s share sheet; who closes it has changed their mind. */
export async function shareFile(blob: Blob, name: string, ending: string): Promise<void> {
  try {
    await navigator.share({ files: [new File([blob], fileName(name, ending), { type: blob.type })] });
  } catch (error) {
    if (!(error instanceof DOMException && error.name === "AbortError")) report(error);
  }
}

export function saveBlob(blob: Blob, name: string, ending: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = fileName(name, ending);
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Opened again it is a trip of its own: what was done to the first stays. */
async function asOwnTrip(file: PlanFile): Promise<PlanFile> {
  const { plan } = file;
  const names = new Set<string>();
  let isHere = false;
  for (const { id, name } of await listPlans()) {
    names.add(name);
    isHere ||= id === plan.id;
  }
  if (!isHere) return file;
  let n = 2;
  while (names.has(`${plan.trip.name} (${n})`)) n++;
  return { ...file, plan: { ...plan, id: freshId(), trip: { ...plan.trip, name: `${plan.trip.name} (${n})` } } };
}

/** A made-up example, beside the plans that are here. */
export async function openExample(which: ExampleId): Promise<void> {
  try {
    await importPlanFile(await fetchExample(which), "Opened", asOwnTrip);
  } catch (error) {
    report(error);
  }
}

export async function openOnTheTrail(): Promise<void> {
  try {
    await takeImport(await asOwnTrip(await fetchOnTheTrail()));
    tell("done", "This trip has 19 days in its log.");
  } catch (error) {
    report(error);
  }
}

/** Refusals say what and where, and leave the opened plan as it is. */
export async function importPlanFile(
  file: Blob,
  done = "Imported",
  as: (read: PlanFile) => PlanFile | Promise<PlanFile> = (read) => read,
): Promise<void> {
  const refuse = (why: string): void => tell("failed", IMPORT_FAILED, why);
  try {
    const { value, problems } = await calculator().readPlan({ file });
    if (!value) {
      const first = problems[0]!;
      const more = problems.length > 1 ? ` And ${problems.length - 1} more.` : "";
      return refuse(`${first.place}: ${first.sentence}${more}`);
    }
    if (value.tracks.length === 0)
      return refuse("tracks: the file contains no track. Export the plan again; the export includes its track.");
    const taken = await as(value);
    await takeImport(taken);
    tell("done", [`${done} ${taken.plan.trip.name}.`, problems[0]?.sentence].filter(Boolean).join(" "));
  } catch (error) {
    refuse(sentenceOf(error));
  }
}
