/** Brings a document of an older version to the present one, step by step. */
import { PLAN_VERSION } from "./schema.ts";

type Document = Record<string, unknown>;

/** MIGRATIONS[n] turns version n into n + 1. Version 1 is the first, so there is none yet. */
const MIGRATIONS: Readonly<Record<number, (document: Document) => Document>> = {};

export function migrate(document: Document, version: number): Document {
  let current = document;
  for (let v = version; v < PLAN_VERSION; v++) {
    const step = MIGRATIONS[v];
    if (!step) throw new Error(`No migration from plan version ${v} to ${v + 1}.`);
    current = step(current);
  }
  return current;
}
