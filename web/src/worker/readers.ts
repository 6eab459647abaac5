/** Readers of files, in a chunk of their own: computing needs neither the schema nor a parser. */
export {
  encodingOf,
  isFit,
  isPacked,
  partsOfFile,
  proposeChoices,
  readPlan,
  readPlanFile,
  sortWaypoint,
  trackReaderFor,
  unpacker,
} from "@gepack/core";
