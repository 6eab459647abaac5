/**
 * Distances on the WGS-84 ellipsoid between points a recorder leaves: metres apart, seldom more.
 *
 * Up to about 60 km: the local metric at the mid latitude (meridian and prime-vertical radii),
 * error below 0.01 % there. Farther: Lambert's formula, error below 10 m in 1,000 km.
 * Inputs in degrees, longitude east, latitude north. Checked in geodesic.test.ts against Karney's
 * geodesics (C. F. F. Karney 2013, J Geodesy 87:43-55).
 */

const SEMI_MAJOR_M = 6_378_137;
const FLATTENING = 1 / 298.257223563;
const ECC2 = FLATTENING * (2 - FLATTENING);
const RAD = Math.PI / 180;

export function distanceM(lonADeg: number, latADeg: number, lonBDeg: number, latBDeg: number): number {
  let dLonDeg = lonBDeg - lonADeg;
  if (dLonDeg > 180) dLonDeg -= 360;
  else if (dLonDeg < -180) dLonDeg += 360;
  const dLat = (latBDeg - latADeg) * RAD;
  const midLat = (latADeg + latBDeg) * 0.5 * RAD;
  const dLon = dLonDeg * RAD;
  if (Math.abs(dLat) > 0.01 || Math.abs(dLon) > 0.01 || Math.abs(midLat) > 1.4)
    return lambertM(dLon, latADeg * RAD, latBDeg * RAD);
  const sin = Math.sin(midLat);
  const w2 = 1 - ECC2 * sin * sin;
  const primeVertical = SEMI_MAJOR_M / Math.sqrt(w2);
  const north = ((primeVertical * (1 - ECC2)) / w2) * dLat;
  const east = primeVertical * Math.cos(midLat) * dLon;
  return Math.sqrt(north * north + east * east);
}

/** Steps below this, away from the poles, are straight in longitude and latitude to a metre. */
const SHORT_DEG = 0.02;
const POLAR_DEG = 80;

/** The point a fraction of the distance from A to B, each longitude and latitude; on the great circle where that matters. */
export function interpolate(
  [lonADeg, latADeg]: readonly [number, number],
  [lonBDeg, latBDeg]: readonly [number, number],
  fraction: number,
): [lonDeg: number, latDeg: number] {
  let dLonDeg = lonBDeg - lonADeg;
  if (dLonDeg > 180) dLonDeg -= 360;
  else if (dLonDeg < -180) dLonDeg += 360;
  const dLatDeg = latBDeg - latADeg;
  const short = Math.abs(dLonDeg) < SHORT_DEG && Math.abs(dLatDeg) < SHORT_DEG && Math.abs(latADeg) < POLAR_DEG;
  if (short) return [within180(lonADeg + fraction * dLonDeg), latADeg + fraction * dLatDeg];
  const a = unitVector(lonADeg, latADeg);
  const b = unitVector(lonBDeg, latBDeg);
  const chord = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
  const angle = 2 * Math.asin(Math.min(1, chord / 2));
  const [wA, wB] =
    angle < 1e-12
      ? [1 - fraction, fraction]
      : [Math.sin((1 - fraction) * angle) / Math.sin(angle), Math.sin(fraction * angle) / Math.sin(angle)];
  const [x, y, z] = [wA * a[0] + wB * b[0], wA * a[1] + wB * b[1], wA * a[2] + wB * b[2]];
  return [Math.atan2(y, x) / RAD, Math.atan2(z, Math.hypot(x, y)) / RAD];
}

/** The direction of a place from the middle of a sphere: two near places have near vectors, everywhere. */
export function unitVector(lonDeg: number, latDeg: number): [number, number, number] {
  const cosLat = Math.cos(latDeg * RAD);
  return [cosLat * Math.cos(lonDeg * RAD), cosLat * Math.sin(lonDeg * RAD), Math.sin(latDeg * RAD)];
}

function within180(lonDeg: number): number {
  return lonDeg > 180 ? lonDeg - 360 : lonDeg < -180 ? lonDeg + 360 : lonDeg;
}

/** Lambert 1942: great circle on reduced latitudes with a first-order correction for flattening. */
function lambertM(dLon: number, latA: number, latB: number): number {
  const betaA = Math.atan((1 - FLATTENING) * Math.tan(latA));
  const betaB = Math.atan((1 - FLATTENING) * Math.tan(latB));
  const sinHalfLat = Math.sin((betaB - betaA) / 2);
  const sinHalfLon = Math.sin(dLon / 2);
  const h = sinHalfLat ** 2 + Math.cos(betaA) * Math.cos(betaB) * sinHalfLon ** 2;
  const sigma = 2 * Math.asin(Math.min(1, Math.sqrt(h)));
  if (sigma === 0) return 0;
  const p = (betaA + betaB) / 2;
  const q = (betaB - betaA) / 2;
  const cosHalf2 = Math.cos(sigma / 2) ** 2;
  const sinHalf2 = Math.sin(sigma / 2) ** 2;
  // Antipodes have no unique geodesic; the uncorrected arc is within 0.3 % there.
  const x = cosHalf2 < 1e-12 ? 0 : ((sigma - Math.sin(sigma)) * (Math.sin(p) * Math.cos(q)) ** 2) / cosHalf2;
  const y = ((sigma + Math.sin(sigma)) * (Math.cos(p) * Math.sin(q)) ** 2) / sinHalf2;
  return SEMI_MAJOR_M * (sigma - (FLATTENING / 2) * (x + y));
}
