/** What a name is, for the schema and for the field that it is typed in: apart, so that a page has it without the schema. */

export const MOST_NAME = 200;

/** More than spaces and marks that cannot be seen. */
export function isVisible(text: string): boolean {
  return /[^\s\p{C}\u2800\u3164\uFFA0]/u.test(text);
}

/** What the schema says of a name that nobody sees. */
export const UNSEEN = "expected a visible name";
