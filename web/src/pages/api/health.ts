import { PLAN_VERSION } from "@gepack/core";
import type { APIRoute } from "astro";
import { answer } from "../../server/respond.ts";

export const prerender = false;

export const GET: APIRoute = () => answer({ status: "ok", planVersion: PLAN_VERSION });
