/** A posted text made into an answer or a problem: what the plan endpoint does with a body it has read. */
import { computePlan, readPlanFile, type Problem } from "@gepack/core";
import { planAnswer } from "./planAnswer.ts";

export type PlanJobAnswer =
  { status: 200; json: string } | { status: 400 | 422; title: string; detail: string; problems?: readonly Problem[] };

export function planJob(text: string): PlanJobAnswer {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : "unreadable";
    return { status: 400, title: "Not JSON", detail: `The body is not JSON: ${reason}.` };
  }
  const { value, problems } = readPlanFile(data);
  if (!value)
    return {
      status: 422,
      title: "Not a plan",
      detail: "The document was refused; see problems for each place and reason.",
      problems,
    };
  if (value.tracks.length === 0)
    return {
      status: 422,
      title: "No track",
      detail: "The document has no track inside.",
      problems: [
        {
          severity: "error",
          place: "tracks",
          sentence: "Expected at least one GeoJSON feature of type MultiLineString.",
        },
      ],
    };
  return { status: 200, json: JSON.stringify(planAnswer(value.plan, computePlan(value.plan, value.tracks))) };
}
