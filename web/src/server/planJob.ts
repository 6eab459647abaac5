/** A posted text made into an answer or a problem: what the endpoints do with a body that they have read. */
import { computePlan, readPlanFile, type PlanFile, type Problem } from "@gepack/core";
import { paperHtml } from "../paper/document.ts";
import type { PapersQuery } from "./papersQuery.ts";
import { planAnswer } from "./planAnswer.ts";

export interface PlanTask {
  what: { is: "plan" } | ({ is: "cards" } & PapersQuery);
  text: string;
}

interface Refusal {
  status: 400 | 422;
  title: string;
  detail: string;
  problems?: readonly Problem[];
}

export type PlanJobAnswer = { status: 200; body: string } | Refusal;

export function planJob({ what, text }: PlanTask): PlanJobAnswer {
  const read = readPosted(text);
  if ("status" in read) return read;
  const { plan, tracks } = read;
  if (what.is === "plan") return { status: 200, body: JSON.stringify(planAnswer(plan, computePlan(plan, tracks))) };
  const { papers, size, hiker, leg } = what;
  if (hiker > plan.hikers.length) return missing("hiker", `The plan has ${plan.hikers.length}.`);
  const result = computePlan(plan, tracks);
  if (leg !== undefined && leg > result.legs.length) return missing("leg", `The plan has ${result.legs.length}.`);
  const legs = leg === undefined ? undefined : [leg - 1];
  return { status: 200, body: paperHtml(plan, result, { papers, size, who: hiker - 1, legs }) };
}

function readPosted(text: string): PlanFile | Refusal {
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
      detail: "The document was rejected; see “problems” for each place and reason.",
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
  return value;
}

function missing(place: string, sentence: string): Refusal {
  return {
    status: 422,
    title: `No such ${place}`,
    detail: sentence,
    problems: [{ severity: "error", place, sentence }],
  };
}
