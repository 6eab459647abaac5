/**
 * The reader for a track file of any text format, given by its content and not by its ending: GPX, KML, KMZ,
 * TCX, GeoJSON, and tables of points. Text comes in by chunks, so that a worker can show progress and be
 * stopped between them; what has to be whole before it can be read is gathered, up to a bound.
 */
import { Unzip, UnzipInflate } from "fflate";
import { type ReadResult } from "../units/problem.ts";
import type { TrackFile, TrackReader } from "./collect.ts";
import { namesCoordinates, readPointTable } from "./csv.ts";
import { textEncodingOf } from "./encoding.ts";
import { readGeoJson } from "./geojson.ts";
import { gpxReader } from "./gpx.ts";
import { kmlReader } from "./kml.ts";
import { tcxReader } from "./tcx.ts";

/** Unpacked, a file may be so large; its own word for it is not believed. */
const MAX_UNPACKED_BYTES = 300_000_000;
const HEAD_CHARS = 4000;

/** Is this a packed file (KMZ)? */
export function isPacked(head: Uint8Array): boolean {
  return head[0] === 0x50 && head[1] === 0x4b && (head[2] ?? 0) <= 8;
}

/** Is this a FIT file? Bytes 8 to 11 of its head say so. */
export function isFit(head: Uint8Array): boolean {
  return String.fromCharCode(...head.subarray(8, 12)) === ".FIT";
}

/** The reader for a text that starts so; GPX where nothing else is given. */
export function trackReaderFor(head: string, trackId: string, fileName: string, keepTimes = false): TrackReader {
  const start = head
    .slice(0, HEAD_CHARS)
    .replace(/^\uFEFF/, "")
    .trimStart();
  if (start.startsWith("{") || start.startsWith("[")) return gathered((text) => readGeoJson(text, trackId, fileName));
  if (!start.startsWith("<") && namesCoordinates(/^[^\r\n]*/.exec(start)![0]))
    return gathered((text) => readPointTable(text.replace(/^\uFEFF/, "").trimStart(), trackId, fileName));
  const root = /<(?:\w+:)?(gpx|kml|TrainingCenterDatabase)[\s>]/.exec(start)?.[1];
  if (root === "kml") return kmlReader(trackId, fileName);
  const reader = root === "TrainingCenterDatabase" ? tcxReader : gpxReader;
  return reader(trackId, fileName, keepTimes);
}

/** Reads when all of it is there. */
function gathered(read: (text: string) => ReadResult<TrackFile>): TrackReader {
  const chunks: string[] = [];
  return {
    write: (chunk) => void chunks.push(chunk),
    failed: () => false,
    pointCount: () => 0,
    close: () => read(chunks.join("")),
  };
}

/**
 * What is in a packed file and how large it becomes, counted up to a limit: its own word for it is not believed.
 * `look` is given the parts as they come out.
 */
export function unpackedBytes(
  bytes: Uint8Array,
  limit: number,
  look: (name: string, piece: Uint8Array) => void = () => {},
): { names: string[]; size: number } {
  const names: string[] = [];
  let size = 0;
  const unzip = new Unzip((file) => {
    names.push(file.name);
    file.ondata = (_, piece) => {
      size += piece.length;
      if (size > limit) throw new RangeError("larger than the limit");
      look(file.name, piece);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    // In pieces, so that one that grows without end is left early.
    for (let at = 0; at < bytes.length; at += UNPACK_STEP)
      unzip.push(bytes.subarray(at, at + UNPACK_STEP), at + UNPACK_STEP >= bytes.length);
  } catch {
    // Cut short, or too large: what was counted tells.
  }
  return { names, size };
}

const UNPACK_STEP = 65_536;

/** A packed file, unpacked as it comes: the first KML in it is read, archives within it are not. */
export interface Unpacker {
  push: (bytes: Uint8Array, last: boolean) => void;
  /** Text that has come out since it was last asked. */
  take: () => string;
  problem: () => string | undefined;
}

export function unpacker(): Unpacker {
  let problem: string | undefined;
  let size = 0;
  let found = false;
  let text = "";
  let decoder: InstanceType<typeof TextDecoder> | undefined;
  const unzip = new Unzip((file) => {
    if (found || problem !== undefined || !/\.kml$/i.test(file.name)) return;
    found = true;
    file.ondata = (error, bytes, last) => {
      if (error) problem = `Couldn’t unpack the file: ${error.message}. It may be cut off.`;
      if (problem !== undefined) return;
      size += bytes.length;
      if (size > MAX_UNPACKED_BYTES) {
        problem = `Unpacked, the file is over ${MAX_UNPACKED_BYTES / 1e6} MB, the limit.`;
        file.terminate();
        return;
      }
      decoder ??= new TextDecoder(textEncodingOf(bytes));
      text += decoder.decode(bytes, { stream: !last });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  return {
    push(bytes, last) {
      if (problem !== undefined) return;
      try {
        unzip.push(bytes, last);
      } catch (error) {
        problem = `Couldn’t unpack the file: ${error instanceof Error ? error.message : String(error)}.`;
      }
      if (last && !found) problem ??= "There is no .kml file inside, so this isn’t a KMZ.";
    },
    take() {
      const out = text;
      text = "";
      return out;
    },
    problem: () => problem,
  };
}
