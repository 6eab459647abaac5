/** A whole track file of any format at once: for tests, scripts and the server. */
import { type ReadResult, refused } from "../units/problem.ts";
import type { TrackFile } from "./collect.ts";
import { textEncodingOf } from "./encoding.ts";
import { readFit } from "./fit.ts";
import { isFit, isPacked, trackReaderFor, unpacker } from "./trackFile.ts";

export function readTrackFile(
  bytes: Uint8Array,
  trackId = "track",
  fileName = "track",
  keepTimes = false,
): ReadResult<TrackFile> {
  if (isFit(bytes)) return readFit(bytes, trackId, fileName, keepTimes);
  const text = isPacked(bytes) ? unpacked(bytes) : { text: new TextDecoder(textEncodingOf(bytes)).decode(bytes) };
  if ("refusal" in text) return refused("file", text.refusal);
  const reader = trackReaderFor(text.text, trackId, fileName, keepTimes);
  reader.write(text.text);
  return reader.close();
}

function unpacked(bytes: Uint8Array): { text: string } | { refusal: string } {
  const packed = unpacker();
  packed.push(bytes, true);
  const refusal = packed.problem();
  return refusal === undefined ? { text: packed.take() } : { refusal };
}
