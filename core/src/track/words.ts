/** What a place says of itself where its file has named properties: name, symbol, kind, and all else as description. */
import type { Words } from "./collect.ts";

const MOST_NAME = 200;
const MOST_TEXT = 2000;

const ROLES = {
  name: /^(?:name|title|label|ort|place|nom|nombre|nome|waypoint)$/,
  symbol: /^(?:sym|symbol|marker-symbol|icon)$/,
  type: /^(?:type|kind|category|class|typ|art|tipo|kategorie|categorie)$/,
} as const;
/** Their values speak for themselves; other keys stand before theirs. */
const PLAIN =
  /^(?:desc|description|notes?|info|information|infos|remarks?|comments?|cmt|text|details?|services?|bemerkung|notiz|beschreibung|remarque|commentaire|nota|notas|note_.*)$/;
/** How it is drawn, what it is filed under, where it is: nothing that a hiker reads. */
const NOT_READ =
  /^(?:@?id|fid|objectid|uuid|guid|url|link|href|source|stroke.*|fill.*|marker-.*|style.*|colou?r|icon.*|visibility|timestamp|time|date|created.*|updated.*|modified.*|altitudemode|tessellate|extrude|lat|latitude|lon|lng|long|longitude|x|y|z|ele|elevation|alt|altitude|height|begin|end|draworder|gx:.*|_.*)$/;
const YES = /^(?:yes|true|y|ja|oui|si|sí|x|✓|✔|1)$/i;
const NO = /^(?:no|false|n|nein|non|0)$/i;

/** Properties in their file's order; what is no text, number, yes or no is left out. */
export function wordsOf(properties: Iterable<readonly [string, unknown]>): Words {
  const words: Words = { name: "", symbol: "", type: "", description: "" };
  const said: string[] = [];
  for (const [given, raw] of properties) {
    if (typeof raw !== "string" && typeof raw !== "number" && typeof raw !== "boolean") continue;
    const value = String(raw).trim();
    const key = given.trim().toLowerCase();
    if (value === "") continue;
    const role = (Object.keys(ROLES) as (keyof typeof ROLES)[]).find((one) => ROLES[one].test(key));
    if (role && words[role] === "") words[role] = value.slice(0, role === "name" ? MOST_NAME : MOST_TEXT);
    else if (NOT_READ.test(key)) continue;
    else {
      const label = key.replace(/[_:]+/g, " ");
      if (PLAIN.test(key) || role) said.push(value);
      else if (YES.test(value)) said.push(label);
      else if (NO.test(value)) said.push(`no ${label}`);
      else said.push(`${label}: ${value}`);
    }
  }
  words.description = [...new Set(said)].join("; ").slice(0, MOST_TEXT);
  return words;
}
