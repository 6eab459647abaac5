/** The reader of FIT files, in a chunk of its own: few files are, and its tables are long. */
export { readFit } from "@gepack/core";
