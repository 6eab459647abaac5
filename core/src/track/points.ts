/** Recorded points in struct-of-arrays form, as they came out of a file. */
export interface TrackPoints {
  id: string;
  name: string;
  lonDeg: Float64Array;
  latDeg: Float64Array;
  /** Metres above sea level, NaN where the recorder gave none. */
  heightM: Float32Array;
  /** Index of the first point of each segment, ascending, the first 0. */
  segmentStarts: Uint32Array;
}

export interface Waypoint {
  name: string;
  lonDeg: number;
  latDeg: number;
  /** The file's own words for what it is, empty where it has none. */
  symbol: string;
  type: string;
  description: string;
}

/** Points that grow without an array of objects: doubling typed arrays. */
export class PointBuffer {
  private lon = new Float64Array(4096);
  private lat = new Float64Array(4096);
  private height = new Float32Array(4096);
  private starts: number[] = [];
  count = 0;

  /** The next point starts a new segment. Empty segments leave no trace. */
  openSegment(): void {
    if (this.starts.at(-1) !== this.count) this.starts.push(this.count);
  }

  push(lonDeg: number, latDeg: number, heightM: number): void {
    if (this.count === this.lon.length) this.grow();
    this.lon[this.count] = lonDeg;
    this.lat[this.count] = latDeg;
    this.height[this.count] = heightM;
    this.count++;
  }

  private grow(): void {
    const size = this.lon.length * 2;
    const lon = new Float64Array(size);
    lon.set(this.lon);
    this.lon = lon;
    const lat = new Float64Array(size);
    lat.set(this.lat);
    this.lat = lat;
    const height = new Float32Array(size);
    height.set(this.height);
    this.height = height;
  }

  forEach(visit: (lonDeg: number, latDeg: number) => void): void {
    for (let i = 0; i < this.count; i++) visit(this.lon[i]!, this.lat[i]!);
  }

  take(id: string, name: string): TrackPoints {
    const starts = this.starts.filter((start) => start < this.count);
    if (starts[0] !== 0) starts.unshift(0);
    return {
      id,
      name,
      lonDeg: this.lon.slice(0, this.count),
      latDeg: this.lat.slice(0, this.count),
      heightM: this.height.slice(0, this.count),
      segmentStarts: Uint32Array.from(starts),
    };
  }
}

/** Are the points the same, to the bit? */
export function sameTrack(a: TrackPoints, b: TrackPoints): boolean {
  const same = (x: ArrayLike<number>, y: ArrayLike<number>): boolean => {
    if (x.length !== y.length) return false;
    // NaN is a missing height, and equals another; −0 and 0 are one height.
    for (let i = 0; i < x.length; i++) if (x[i] !== y[i] && !(Number.isNaN(x[i]) && Number.isNaN(y[i]))) return false;
    return true;
  };
  return (
    same(a.lonDeg, b.lonDeg) &&
    same(a.latDeg, b.latDeg) &&
    same(a.heightM, b.heightM) &&
    same(a.segmentStarts, b.segmentStarts)
  );
}
