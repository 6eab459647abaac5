/** Plan files out of and into the browser. */
import { toast } from "sonner";
import { calculator, exportText, takeImport, useDocument } from "../store/document.ts";

export async function savePlanFile(): Promise<void> {
  const text = await exportText();
  if (text === undefined) return;
  const name = useDocument.getState().plan?.trip.name ?? "plan";
  const url = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  const link = document.createElement("a");
  link.href = url;
  link.download = `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "plan"
  }.gepack.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Refusals say what and where, and leave the opened plan as it is. */
export async function importPlanFile(file: Blob): Promise<void> {
  try {
    const { value, problems } = await calculator().readPlan({ file });
    if (!value) {
      const first = problems[0]!;
      const more = problems.length > 1 ? ` And ${problems.length - 1} more.` : "";
      toast.error("Not imported; your plan is as it was.", {
        description: `${first.place}: ${first.sentence}${more}`,
        duration: 20_000,
        closeButton: true,
      });
      return;
    }
    if (value.tracks.length === 0) {
      toast.error("Not imported; your plan is as it was.", {
        description: "tracks: The file has no track inside. Export the plan again; the export holds its track.",
        duration: 20_000,
        closeButton: true,
      });
      return;
    }
    await takeImport(value);
    toast.success(`Imported ${value.plan.trip.name}.`);
  } catch (error) {
    toast.error("Not imported; your plan is as it was.", {
      description: error instanceof Error ? error.message : String(error),
      duration: 20_000,
      closeButton: true,
    });
  }
}
