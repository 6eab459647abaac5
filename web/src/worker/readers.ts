/** Readers of files, in a chunk of their own: computing needs neither the schema nor a parser. */
export {
  arrangeTrack,
  joinTracks,
  encodingOf,
  isPacked,
  readPlan,
  readPlanFile,
  sortWaypoint,
  trackReaderFor,
  unpacker,
} from "@gepack/core";
