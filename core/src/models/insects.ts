/**
 * Mosquitoes through the year at one place [L throughout]: they start some weeks after the snow is gone, by the
 * warmth gathered since (daily mean above 4 °C from melt-out: 80 K d start, 250 peak, 700 fading), and end with the
 * first mean low under −2 °C after the warmest day. Where no snow is by the warmth above 10 °C since midwinter
 * (120, 250, no fading), on wet ground. Levels 0 to 3; wind and cold hours spare you.
 */
export interface InsectPlace {
  /** For each day of the year, °C. */
  meanC: ArrayLike<number>;
  lowC: ArrayLike<number>;
  cover: ArrayLike<number>;
  south: boolean;
}

const DAYS = 366;
const LEVEL = 3;
const GONE_COVER = 0.1;

export function mosquitoYear({ meanC, lowC, cover, south }: InsectPlace): Float32Array {
  const level = new Float32Array(DAYS);
  const midwinter = south ? 183 : 0;
  let snowed = false;
  for (let day = 0; day < DAYS; day++) snowed ||= cover[day]! >= GONE_COVER;
  const { aboveC, start, peak, fading } = snowed
    ? { aboveC: 4, start: 80, peak: 250, fading: 700 }
    : { aboveC: 10, start: 120, peak: 250, fading: Infinity };
  let warmest = 0;
  for (let i = 1; i < DAYS; i++) if (meanC[(midwinter + i) % DAYS]! > meanC[(midwinter + warmest) % DAYS]!) warmest = i;
  let gathered = 0;
  for (let i = 0; i < DAYS; i++) {
    const day = (midwinter + i) % DAYS;
    if (i > warmest && lowC[day]! < -2) break;
    // New snow before the season starts sets it back.
    if (cover[day]! >= GONE_COVER && i <= warmest) gathered = 0;
    else gathered += Math.max(0, meanC[day]! - aboveC);
    if (gathered <= start) continue;
    if (gathered <= peak) level[day] = (LEVEL * (gathered - start)) / (peak - start);
    else if (gathered < fading)
      level[day] = LEVEL - (fading === Infinity ? 0 : (2 * (gathered - peak)) / (fading - peak));
  }
  return level;
}
