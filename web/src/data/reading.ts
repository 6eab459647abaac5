/** The document's schema, in a chunk of its own: the first page shows a plan without it. */
export { hikerSchema, PLAN_VERSION, planSchema, readPlan, refusedIn, sourceSchema, stopSchema } from "@gepack/core";
