import { simulatedScale } from "@gepack/core";
import type { APIRoute } from "astro";
import { queryOf } from "../../server/query.ts";
import { answer, methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

const MOST_NAME = 200;

/** A simulated kitchen scale: `?name=Fleece&listedG=250&elapsedMs=1200` shows what it would, so long after it was laid on. */
export const GET: APIRoute = ({ request, url }) => {
  const { number, bad } = queryOf(url);
  const name = (url.searchParams.get("name") ?? "").slice(0, MOST_NAME);
  const on = { name, listedG: number("listedG", 0, 50_000), elapsedMs: number("elapsedMs", 0, 600_000, 0) };
  if (bad.length > 0) return problem(400, "Nothing on the scale", `${bad.join("; ")}.`);
  return answer(request, simulatedScale(on));
};

export const ALL: APIRoute = () => methodRefused("GET, HEAD");
