/**
 * Brings a document of an older version to the present one: a pure function from each version to the
 * next, tested on a stored document of its version.
 */
import { PLAN_VERSION } from "./ids.ts";

type Document = Record<string, unknown>;

const isDocument = (value: unknown): value is Document =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** The same object with keys under new names; keys that are missing stay missing. */
function renamed(value: unknown, names: Readonly<Record<string, string>>): unknown {
  if (!isDocument(value)) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [names[key] ?? key, inner]));
}

/** One word for one thing: the rules of a day are `dayRules`, and what is a fraction is called so. */
function from1To2(document: Document): Document {
  const { days, hikers, ...rest } = document;
  return {
    ...rest,
    version: 2,
    ...(days === undefined ? {} : { dayRules: renamed(days, { darkShare: "darkFraction" }) }),
    hikers: Array.isArray(hikers)
      ? hikers.map((hiker: unknown) =>
          isDocument(hiker) && isDocument(hiker["pace"])
            ? { ...hiker, pace: renamed(hiker["pace"], { breakShare: "breakFraction" }) }
            : hiker,
        )
      : hikers,
  };
}

/** The route comes in: until now the whole main trail was walked. */
function from2To3(document: Document): Document {
  return { ...document, version: 3, route: { alternates: [], closures: [], sections: [], coarse: false } };
}

/** A ride that somebody told had its minutes: it is a shuttle at any hour. */
function from3To4(document: Document): Document {
  const { stops } = document;
  return {
    ...document,
    version: 4,
    ...(Array.isArray(stops)
      ? {
          stops: stops.map((stop: unknown) =>
            isDocument(stop) && stop["access"] === "ride" ? { ...stop, access: "shuttle" } : stop,
          ),
        }
      : {}),
  };
}

/** MIGRATIONS[n] turns version n into n + 1. */
const MIGRATIONS: Readonly<Record<number, (document: Document) => Document>> = {
  1: from1To2,
  2: from2To3,
  3: from3To4,
};

export function migrate(document: Document, version: number): Document {
  let current = document;
  for (let v = version; v < PLAN_VERSION; v++) {
    const step = MIGRATIONS[v];
    if (!step) throw new Error(`No migration from plan version ${v} to ${v + 1}.`);
    current = step(current);
  }
  return current;
}
