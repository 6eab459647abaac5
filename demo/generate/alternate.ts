/** A way round the Red Stair ledges, lower and longer: the demo's alternate, with a spring and a camp on it. */
import { heightM, pointAt, type Line } from "./terrain.ts";

export const FROM_KM = 284;
export const TO_KM = 303;
const SPACING_M = 60;
/** It bows out so far to the east. */
const ASIDE_DEG = 0.045;
/** Valley floor: the ledges' height, cut off above it. */
const FLOOR_M = 260;

export function alternatePoints(line: Line): { lonDeg: number; latDeg: number; heightM: number }[] {
  const spanM = (TO_KM - FROM_KM) * 1000;
  const count = Math.round((1.25 * spanM) / SPACING_M);
  return Array.from({ length: count + 1 }, (_, i) => {
    const part = i / count;
    const m = FROM_KM * 1000 + part * spanM;
    const { lonDeg, latDeg } = pointAt(line, m);
    const low = FLOOR_M + 25 * Math.sin(part * 21);
    const blend = Math.min(1, 8 * Math.min(part, 1 - part));
    return {
      lonDeg: lonDeg + ASIDE_DEG * Math.sin(Math.PI * part) + 0.002 * Math.sin(part * 60) * blend,
      latDeg,
      heightM: heightM(m) + (Math.min(low, heightM(m)) - heightM(m)) * blend,
    };
  });
}

export function alternateGpx(line: Line): string {
  const points = alternatePoints(line).map(
    (point) =>
      `<trkpt lat="${point.latDeg.toFixed(6)}" lon="${point.lonDeg.toFixed(6)}"><ele>${point.heightM.toFixed(1)}</ele></trkpt>`,
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="Gepack demo generator" xmlns="http://www.topografix.com/GPX/1/1">',
    "<trk><name>Corrie valley way</name><type>alternate</type><trkseg>",
    ...points,
    "</trkseg></trk>",
    "</gpx>",
    "",
  ].join("\n");
}
