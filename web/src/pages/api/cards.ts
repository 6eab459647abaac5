/**
 * POST a plan document with its tracks inside; the answer is paper as one page of HTML that needs nothing else:
 * `?papers=leg-cards,day-cards&size=a4&hiker=1&leg=3`, or `papers=booklet` for all.
 */
import type { APIRoute } from "astro";
import { papersQuery } from "../../server/papersQuery.ts";
import { answerPosted } from "../../server/posted.ts";
import { methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

export const POST: APIRoute = (context) => {
  const { query, bad } = papersQuery(context.url);
  if (!query) return problem(400, "No such paper", `${bad.join("; ")}.`);
  return answerPosted(
    context,
    { is: "cards", ...query },
    (html) =>
      new Response(html, { headers: { "content-type": "text/html; charset=utf-8", "cache-control": "no-store" } }),
  );
};

export const ALL: APIRoute = () => methodRefused("POST");
