/** What the endpoints do with a posted plan: read within bounds, computed in a thread, the failure in words. */
import type { APIContext } from "astro";
import { planDesk } from "./planDesk.ts";
import type { PlanTask } from "./planJob.ts";
import { foreignOrigin, limitedText, problem } from "./respond.ts";

const MAX_BYTES = 20_000_000;
/** Bodies that are read at the same time. */
const MOST_READING = 8;
const RETRY_AFTER_S = 5;

let reading = 0;

export async function answerPosted(
  { request, locals }: APIContext,
  what: PlanTask["what"],
  answer: (body: string) => Response,
): Promise<Response> {
  if (foreignOrigin(request))
    return problem(403, "Not from another site", "Requests that carry the origin of another site are refused.");
  if (reading >= MOST_READING) return busy();
  reading++;
  let text: string | undefined;
  try {
    text = await limitedText(request, MAX_BYTES);
  } catch {
    return problem(400, "Cut short", "The body ended before it was whole.");
  } finally {
    reading--;
  }
  if (text === undefined)
    return problem(413, "Too large", `The body is larger than ${MAX_BYTES / 1e6} MB, the most that is read.`);
  const end = await planDesk(locals.planThread).ask({ what, text }, locals.left ?? request.signal);
  switch (end.is) {
    case "done":
      if (end.answer.status === 200) return answer(end.answer.body);
      return problem(end.answer.status, end.answer.title, end.answer.detail, end.answer.problems);
    case "full":
      return busy();
    case "late":
      return later(
        "The plan takes longer than this server computes on one. The application computes it in the browser.",
      );
    case "died":
      if (!end.ofMemory) return problem(500, "The server failed", "The plan could not be computed.");
      return later("The plan took more memory than this server gives to one. Thin its track to a point every 10 m.");
    case "left":
      return problem(499, "Nobody waits", "The one who asked has left.");
  }
}

function busy(): Response {
  return later("The server computes other plans, and its queue is full.");
}

function later(detail: string): Response {
  const response = problem(503, "Not now", `${detail} Try again in ${RETRY_AFTER_S} s.`);
  response.headers.set("retry-after", String(RETRY_AFTER_S));
  return response;
}
