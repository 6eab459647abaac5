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
