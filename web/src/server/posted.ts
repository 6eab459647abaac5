/** What the endpoints do with a posted plan: read within bounds, computed in a thread, the failure in words. */
import type { APIContext } from "astro";
import { planDesk } from "./planDesk.ts";
import type { PlanTask } from "./planJob.ts";
import { foreignOrigin, limitedText, problem, TooSlow, UnknownPacking } from "./respond.ts";

const MAX_BYTES = 20_000_000;
/** Bodies that are read at the same time, of all and of one client: nobody shuts others out. */
const MOST_READING = 8;
const MOST_OF_ONE = 4;
const RETRY_AFTER_S = 5;

const reading = new Map<string, number>();

/** Reads while there is room for one more of this client; undefined where there is none. */
async function inRoom<T>(client: string, read: () => Promise<T>): Promise<{ read: T } | undefined> {
  const mine = reading.get(client) ?? 0;
  const all = [...reading.values()].reduce((sum, count) => sum + count, 0);
  if (mine >= MOST_OF_ONE || all >= MOST_READING) return undefined;
  reading.set(client, mine + 1);
  try {
    return { read: await read() };
  } finally {
    const left = reading.get(client)! - 1;
    if (left > 0) reading.set(client, left);
    else reading.delete(client);
  }
}

export async function answerPosted(
  { request, locals, clientAddress }: APIContext,
  what: PlanTask["what"],
  answer: (body: string) => Response | Promise<Response>,
): Promise<Response> {
  if (foreignOrigin(request))
    return problem(403, "Not from another site", "Requests that carry the origin of another site are refused.");
  let text: string | undefined;
  try {
    const found = await inRoom(clientAddress, () => limitedText(request, MAX_BYTES));
    if (!found) return busy();
    text = found.read;
  } catch (error) {
    if (error instanceof UnknownPacking) return problem(415, "Not this way of packing", error.message);
    if (error instanceof TooSlow) return problem(408, "Too slow", error.message);
    return problem(400, "Incomplete request", "The request body was cut off.");
  }
  if (text === undefined) return problem(413, "Too large", `The body is larger than ${MAX_BYTES / 1e6} MB, the limit.`);
  const end = await planDesk(locals.planThread).ask({ what, text }, locals.left ?? request.signal);
  switch (end.is) {
    case "done":
      if (end.answer.status === 200) return answer(end.answer.body);
      return problem(end.answer.status, end.answer.title, end.answer.detail, end.answer.problems);
    case "full":
      return busy();
    case "late":
      return later("This plan takes longer than the server allows. The app computes it in your browser instead.");
    case "died":
      if (!end.ofMemory) return problem(500, "The server failed", "The plan could not be computed.");
      return later("This plan needs more memory than the server allows. Thin its track to one point per 10 m.");
    case "left":
      return problem(499, "Client gone", "The client disconnected.");
  }
}

function busy(): Response {
  return later("The server is busy with other plans and its queue is full.");
}

function later(detail: string): Response {
  const response = problem(503, "Busy", `${detail} Try again in ${RETRY_AFTER_S} s.`);
  response.headers.set("retry-after", String(RETRY_AFTER_S));
  return response;
}
