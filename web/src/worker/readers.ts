/** Readers of files, in a chunk of their own: computing needs neither the schema nor a parser. */
export {
  arrangeTrack,
  encodingOf,
  isPacked,
  readPlan,
  readPlanFile,
  sortWaypoint,
  trackReaderFor,
  unpacker,
} from "@gepack/core";
