/**
 * The encoding of an XML file, from its first bytes: the byte-order mark, else how `<?` is written, else
 * the encoding its declaration names (XML 1.0, appendix F). Answers a label of the Encoding Standard.
 */

const MARKS: readonly (readonly [bytes: readonly number[], label: string])[] = [
  [[0xef, 0xbb, 0xbf], "utf-8"],
  [[0xff, 0xfe], "utf-16le"],
  [[0xfe, 0xff], "utf-16be"],
  [[0x3c, 0x00], "utf-16le"],
  [[0x00, 0x3c], "utf-16be"],
];
/** A declaration is at the very front, and short. */
const DECLARATION_BYTES = 200;

export function encodingOf(first: Uint8Array): string {
  for (const [bytes, label] of MARKS) if (bytes.every((byte, i) => first[i] === byte)) return label;
  const head = String.fromCharCode(...first.subarray(0, DECLARATION_BYTES));
  const named = /^<\?xml[^>]*?\sencoding\s*=\s*["']([A-Za-z][\w.-]*)["']/.exec(head)?.[1]?.toLowerCase();
  // Bytes that could be read as a declaration are none of UTF-16, whatever it says.
  return named === undefined || named.startsWith("utf-16") ? "utf-8" : named;
}
