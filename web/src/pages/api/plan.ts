/** POST a plan document with its tracks inside; the answer is what the application shows. */
import { computePlan, readPlanFile } from "@gepack/core";
import type { APIRoute } from "astro";
import { planAnswer } from "../../server/planAnswer.ts";
import { answer, foreignOrigin, limitedText, methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

const MAX_BYTES = 20_000_000;

export const POST: APIRoute = async ({ request }) => {
  if (foreignOrigin(request))
    return problem(403, "Not from another site", "Requests that carry the origin of another site are refused.");
  const text = await limitedText(request, MAX_BYTES);
  if (text === undefined)
    return problem(413, "Too large", `The body is larger than ${MAX_BYTES / 1e6} MB, the most that is read.`);
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return problem(400, "Not JSON", `The body is not JSON: ${error instanceof Error ? error.message : "unreadable"}.`);
  }
  const { value, problems } = readPlanFile(data);
  if (!value)
    return problem(422, "Not a plan", "The document was refused; see problems for each place and reason.", problems);
  if (value.tracks.length === 0)
    return problem(422, "No track", "The document has no track inside.", [
      {
        severity: "error",
        place: "tracks",
        sentence: "Expected at least one GeoJSON feature of type MultiLineString.",
      },
    ]);
  return answer(request, planAnswer(value.plan, computePlan(value.plan, value.tracks)));
};

export const ALL: APIRoute = () => methodRefused("POST");
