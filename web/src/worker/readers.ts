/** Readers of files, in a chunk of their own: computing needs neither the schema nor a parser. */
export {
  encodingOf,
  isFit,
  isPacked,
  partsOfFile,
  pastPace,
  proposeChoices,
  readPlan,
  readPlanFile,
  readTrackFile,
  sortWaypoint,
  trackReaderFor,
  unpacker,
} from "@gepack/core";
