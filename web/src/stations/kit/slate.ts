/** Shades of the colour of gear, the heaviest group the darkest. */
const STEP = 8;
const PALEST = 44;

export const slate = (place: number): string =>
  `color-mix(in srgb, var(--span) ${Math.max(PALEST, 100 - STEP * place)}%, var(--sheet))`;
