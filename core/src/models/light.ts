/**
 * Length of day and twilight from the hour angle of the sun, for whole years at once: declination by the Fourier
 * series of Spencer 1971 (Search 2:172; within 0.04°), refraction and half the sun's disc at 34 and 16 arc minutes.
 * Against the NOAA/Meeus equations within 3 minutes up to 60° of latitude. A flat sea-level horizon.
 */
export const SUN_ZENITH_DEG = 90.833;
export const CIVIL_ZENITH_DEG = 96;
export const NAUTICAL_ZENITH_DEG = 102;

const RAD = Math.PI / 180;

export function declinationRad(yearDay: number): number {
  const g = (2 * Math.PI * yearDay) / 365.2425;
  return (
    0.006918 -
    0.399912 * Math.cos(g) +
    0.070257 * Math.sin(g) -
    0.006758 * Math.cos(2 * g) +
    0.000907 * Math.sin(2 * g) -
    0.002697 * Math.cos(3 * g) +
    0.00148 * Math.sin(3 * g)
  );
}

/** Sine and cosine of the declination at the middle of every day: for whole years at many places. */
const DECLINATIONS = Array.from({ length: 366 }, (_, yearDay) => {
  const declination = declinationRad(yearDay + 0.5);
  return { sine: Math.sin(declination), cosine: Math.cos(declination) };
});

/** Hours with the sun's centre above a zenith distance; 0 and 24 in polar night and day. */
export function hoursAbove(latDeg: number, yearDay: number, zenithDeg = SUN_ZENITH_DEG): number {
  const declination = DECLINATIONS[yearDay]!;
  const latitude = latDeg * RAD;
  const cosine =
    (Math.cos(zenithDeg * RAD) - Math.sin(latitude) * declination.sine) / (Math.cos(latitude) * declination.cosine);
  if (cosine >= 1) return 0;
  return cosine <= -1 ? 24 : (2 * Math.acos(cosine)) / RAD / 15;
}

/** Twilight at each end of the day, hours; undefined where it lasts all night. */
export function twilightH(latDeg: number, yearDay: number, zenithDeg = CIVIL_ZENITH_DEG): number | undefined {
  const above = hoursAbove(latDeg, yearDay, zenithDeg);
  return above === 24 ? undefined : (above - hoursAbove(latDeg, yearDay)) / 2;
}
