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

/**
 * The encoding of a text: as above, and where nothing names one UTF-8 if all of it is, else Windows-1252, as older
 * spreadsheets write. A letter that the end of a piece cuts through is no reason to doubt.
 */
export function textEncodingOf(bytes: Uint8Array): string {
  const encoding = encodingOf(bytes);
  return encoding === "utf-8" && !isUtf8(bytes) ? "windows-1252" : encoding;
}

/** The whole of a text. Throws for an encoding that nobody knows. */
export function decoded(bytes: Uint8Array): string {
  return new TextDecoder(textEncodingOf(bytes)).decode(bytes).replace(/^\uFEFF/, "");
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder("utf-8", { fatal: true }).decode(bytes, { stream: true });
    return true;
  } catch {
    return false;
  }
}
