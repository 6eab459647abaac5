/** Readers of files, in a chunk of their own: computing needs neither the schema nor a parser. */
export { encodingOf, gpxReader, readPlan, readPlanFile, sortWaypoint } from "@gepack/core";
