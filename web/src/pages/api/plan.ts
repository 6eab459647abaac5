/** POST a plan document with its tracks inside; the answer is what the application shows. */
import type { APIRoute } from "astro";
import { answerPosted } from "../../server/posted.ts";
import { answerJson, methodRefused } from "../../server/respond.ts";

export const prerender = false;

export const POST: APIRoute = (context) =>
  answerPosted(context, { is: "plan" }, (json) => answerJson(context.request, json));

export const ALL: APIRoute = () => methodRefused("POST");
