/**
 * Brings a document of an older version to the present one: a pure function from each version to the
 * next, tested on a stored document of its version.
 */
import { PLAN_VERSION } from "./ids.ts";
import { withRowIds } from "./rowIds.ts";

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

/** Each row of a list changed; what is no list stays for the schema to refuse. */
const eachOf = (value: unknown, change: (row: unknown) => unknown): unknown =>
  Array.isArray(value) ? value.map(change) : value;

/** The part of an object under a key changed, where it is there. */
function within(value: unknown, key: string, change: (inner: unknown) => unknown): unknown {
  return isDocument(value) && value[key] !== undefined ? { ...value, [key]: change(value[key]) } : value;
}

/** Words that puzzled: what was given is listed, what was held is locked or decided, a way is a method or a distance. */
function from4To5(document: Document): Document {
  const rows = (key: string, change: (row: unknown) => unknown): void => {
    if (document[key] !== undefined) changed[key] = eachOf(document[key], change);
  };
  const changed: Document = {};
  if (document["trip"] !== undefined) changed["trip"] = renamed(document["trip"], { madeUp: "fictional" });
  rows("hikers", (hiker) =>
    within(
      within(hiker, "menus", (menus) => renamed(menus, { usualId: "defaultId" })),
      "water",
      (water) => within(water, "treatment", (treatment) => renamed(treatment, { way: "method" })),
    ),
  );
  rows("stops", (stop) => renamed(stop, { held: "locked", wayClimbM: "accessClimbM" }));
  rows("sources", (source) => renamed(source, { foul: "contaminated" }));
  rows("stretches", (stretch) => renamed(stretch, { heldBy: "appliesTo", snowWayM: "snowDistanceM" }));
  rows("kit", (piece) => renamed(piece, { toldG: "listedG" }));
  rows("boxes", (box) =>
    within(box, "lines", (lines) => eachOf(lines, (line) => renamed(line, { heldId: "decisionId" }))),
  );
  rows("log", (day) =>
    within(day, "pieces", (pieces) =>
      eachOf(pieces, (event) =>
        isDocument(event) && event["what"] === "mended" ? { ...event, what: "repaired" } : event,
      ),
    ),
  );
  return {
    ...(renamed({ ...document, ...changed }, { held: "decisions", keptKits: "savedLists" }) as Document),
    version: 5,
  };
}

/** Rows of every list have an id; reading gives it to those that lack one. */
const from5To6 = (document: Document): Document => withRowIds({ ...document, version: 6 });

/** MIGRATIONS[n] turns version n into n + 1. */
const MIGRATIONS: Readonly<Record<number, (document: Document) => Document>> = {
  1: from1To2,
  2: from2To3,
  3: from3To4,
  4: from4To5,
  5: from5To6,
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
