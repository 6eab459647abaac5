import { describe, expect, test } from "vitest";
import { decoded, encodingOf } from "./encoding.ts";

const ascii = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const wide = (text: string, littleEndian: boolean): Uint8Array =>
  Uint8Array.from(
    [...text].flatMap((letter) => (littleEndian ? [letter.charCodeAt(0), 0] : [0, letter.charCodeAt(0)])),
  );

describe("the encoding of a file", () => {
  test.each<[string, Uint8Array, string]>([
    ["no word of it", ascii("<gpx/>"), "utf-8"],
    ["nothing at all", ascii(""), "utf-8"],
    ["a declaration without one", ascii('<?xml version="1.0"?><gpx encoding="latin1"/>'), "utf-8"],
    ["declared, in either quotes", ascii("<?xml version='1.0' encoding='ISO-8859-1' ?><gpx/>"), "iso-8859-1"],
    ["declared over a line end", ascii('<?xml version="1.0"\n encoding = "windows-1250"?>'), "windows-1250"],
    ["UTF-8 by its mark, whatever is declared", ascii('\xef\xbb\xbf<?xml encoding="iso-8859-1"?>'), "utf-8"],
    ["UTF-16 by its mark", Uint8Array.from([0xff, 0xfe, 0x3c, 0]), "utf-16le"],
    ["UTF-16 by its mark, the other way round", Uint8Array.from([0xfe, 0xff, 0, 0x3c]), "utf-16be"],
    ["UTF-16 without a mark", wide("<?xml", true), "utf-16le"],
    ["UTF-16 without a mark, the other way round", wide("<?xml", false), "utf-16be"],
    ["UTF-16 declared in bytes that are not", ascii('<?xml version="1.0" encoding="UTF-16"?><gpx/>'), "utf-8"],
  ])("%s", (_, bytes, label) => {
    expect(encodingOf(bytes)).toBe(label);
  });
});

test("a text without a mark is UTF-8 where all of it is, else Windows-1252", () => {
  const windows = Uint8Array.from([...ascii("Gr"), 0xfc, 0xdf, ...ascii("e")]);
  expect(decoded(windows)).toBe("Grüße");
  expect(decoded(new TextEncoder().encode("\uFEFFGrüße 5 €"))).toBe("Grüße 5 €");
  // Cut in the midst of a letter it is UTF-8 still.
  expect(decoded(new TextEncoder().encode("Grü").subarray(0, 3))).toContain("Gr");
  expect(decoded(wide("Grün", true)).length).toBe(8);
});
