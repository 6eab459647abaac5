/**
 * A recorded track in a third of the bytes that its numbers take: differences from point to point, in steps
 * of the last digit a recorder writes, as integers of variable length. Coordinates in 10⁻⁷ degrees,
 * heights in decimetres; what has more digits than that loses them, and `packTrack` refuses it.
 *
 * Layout: the letters `GTK1`, the length of a JSON head in two bytes (little-endian), the head (id, name,
 * point count, segment starts), then for each point the zigzag varints of longitude, latitude and
 * height differences; a height that is missing is the step `MISSING`.
 */
import type { TrackPoints } from "./points.ts";

const MAGIC = [0x47, 0x54, 0x4b, 0x31] as const;
const PER_DEGREE = 1e7;
const PER_METRE = 10;
/** No step of a real track is that large: the tallest mountain is 88,490 decimetres. */
const MISSING = 1_000_000;

interface Head {
  id: string;
  name: string;
  count: number;
  segmentStarts: number[];
}

class ByteWriter {
  private bytes = new Uint8Array(1 << 16);
  length = 0;

  byte(value: number): void {
    if (this.length === this.bytes.length) {
      const larger = new Uint8Array(2 * this.bytes.length);
      larger.set(this.bytes);
      this.bytes = larger;
    }
    this.bytes[this.length++] = value;
  }

  /** Zigzag varint: small numbers of either sign take one byte. Safe for whole numbers up to 2⁵². */
  step(value: number): void {
    let rest = value < 0 ? -2 * value - 1 : 2 * value;
    while (rest >= 128) {
      this.byte((rest % 128) + 128);
      rest = Math.floor(rest / 128);
    }
    this.byte(rest);
  }

  take(): Uint8Array {
    return this.bytes.slice(0, this.length);
  }
}

/** Throws where a coordinate or height has more digits than the form keeps: it would not read back the same. */
export function packTrack(track: TrackPoints): Uint8Array {
  const out = new ByteWriter();
  const head: Head = {
    id: track.id,
    name: track.name,
    count: track.lonDeg.length,
    segmentStarts: [...track.segmentStarts],
  };
  // Plain letters alone, so that a byte is a letter.
  const text = JSON.stringify(head).replace(
    /[\u007f-\uffff]/g,
    (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, "0")}`,
  );
  for (const byte of MAGIC) out.byte(byte);
  out.byte(text.length % 256);
  out.byte(Math.floor(text.length / 256));
  for (let i = 0; i < text.length; i++) out.byte(text.charCodeAt(i));
  let lon = 0;
  let lat = 0;
  let height = 0;
  for (let i = 0; i < head.count; i++) {
    const nextLon = whole(track.lonDeg[i]!, PER_DEGREE, "longitude", i);
    const nextLat = whole(track.latDeg[i]!, PER_DEGREE, "latitude", i);
    out.step(nextLon - lon);
    out.step(nextLat - lat);
    lon = nextLon;
    lat = nextLat;
    const metres = track.heightM[i]!;
    if (metres !== metres) out.step(MISSING);
    else {
      const next = Math.round(metres * PER_METRE);
      if (Math.fround(next / PER_METRE) !== metres)
        throw new Error(`packTrack: point ${i} has a height of ${metres} m; tenths of a metre are kept.`);
      out.step(next - height);
      height = next;
    }
  }
  return out.take();
}

function whole(value: number, per: number, what: string, index: number): number {
  const steps = Math.round(value * per);
  if (steps / per !== value)
    throw new Error(`packTrack: point ${index} has a ${what} of ${value}; 1/${per} of a degree is kept.`);
  return steps;
}

/** Throws for bytes that are no packed track, or were cut short. */
export function unpackTrack(bytes: Uint8Array): TrackPoints {
  if (MAGIC.some((byte, i) => bytes[i] !== byte)) throw new Error("unpackTrack: this is no packed track.");
  const headLength = (bytes[4] ?? 0) + 256 * (bytes[5] ?? 0);
  let text = "";
  for (let i = 6; i < 6 + headLength; i++) text += String.fromCharCode(bytes[i] ?? 0);
  const { id, name, count, segmentStarts } = JSON.parse(text) as Head;
  const lonDeg = new Float64Array(count);
  const latDeg = new Float64Array(count);
  const heightM = new Float32Array(count);
  let at = 6 + headLength;
  const step = (): number => {
    let value = 0;
    let place = 1;
    for (;;) {
      const byte = bytes[at++];
      if (byte === undefined) throw new Error("unpackTrack: the track is cut short.");
      value += (byte % 128) * place;
      if (byte < 128) return value % 2 === 1 ? -(value + 1) / 2 : value / 2;
      place *= 128;
    }
  };
  let lon = 0;
  let lat = 0;
  let height = 0;
  for (let i = 0; i < count; i++) {
    lon += step();
    lat += step();
    lonDeg[i] = lon / PER_DEGREE;
    latDeg[i] = lat / PER_DEGREE;
    const by = step();
    if (by === MISSING) heightM[i] = NaN;
    else {
      height += by;
      heightM[i] = height / PER_METRE;
    }
  }
  return { id, name, lonDeg, latDeg, heightM, segmentStarts: Uint32Array.from(segmentStarts) };
}
