/** Plan files out of and into the browser. */
import { fetchExample } from "../data/demo.ts";
import { rawPlan } from "../data/plans.ts";
import { calculator, exportText, takeImport, useDocument } from "../store/document.ts";
import { report, sentenceOf, tell } from "../store/notices.ts";

export async function savePlanFile(): Promise<void> {
  const text = await exportText();
  if (text !== undefined) save(text, useDocument.getState().plan?.trip.name ?? "plan");
}

/** A plan that cannot be opened, as storage has it. */
export async function saveRawPlan({ id, name }: { id: string; name: string }): Promise<void> {
  save(await rawPlan(id), name);
}

export function save(text: string, name: string, ending = "gepack.json", type = "application/json"): void {
  saveBlob(new Blob([text], { type }), name, ending);
}

export function saveBlob(blob: Blob, name: string, ending: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "plan"
  }.${ending}`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** The second made-up example, beside the plans that are here. */
export async function openExample(): Promise<void> {
  try {
    await importPlanFile(await fetchExample());
  } catch (error) {
    report(error);
  }
}

/** Refusals say what and where, and leave the opened plan as it is. */
export async function importPlanFile(file: Blob): Promise<void> {
  const refuse = (why: string): void => tell("failed", "Not imported; your plan is as it was.", why);
  try {
    const { value, problems } = await calculator().readPlan({ file });
    if (!value) {
      const first = problems[0]!;
      const more = problems.length > 1 ? ` And ${problems.length - 1} more.` : "";
      return refuse(`${first.place}: ${first.sentence}${more}`);
    }
    if (value.tracks.length === 0)
      return refuse("tracks: The file has no track inside. Export the plan again; the export holds its track.");
    await takeImport(value);
    tell("done", `Imported ${value.plan.trip.name}.`);
  } catch (error) {
    refuse(sentenceOf(error));
  }
}
