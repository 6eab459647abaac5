/**
 * Nights against the coldest in ten. Pad R wanted: R = 3.748 − 0.1136·T_ground (ft²·h·°F/BTU), from a
 * heat flow of 50 W/m² into the ground at 33 °C skin; engineering, no standard gives it. The ground is
 * as cold as the air on snow, and 5 K warmer otherwise.
 */
export function padRNeeded(coldNightC: number, onSnow: boolean): number {
  const groundC = onSnow ? coldNightC : coldNightC + 5;
  return Math.max(0, 3.748 - 0.1136 * groundC);
}
