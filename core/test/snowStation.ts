/** The station that the tables of snow, fords and insects were worked out for, apart from this code. */
import { precipByHeight, YEAR_DAYS, type SnowClimate } from "../src/models/snow.ts";
import { MONTH_LENGTHS, throughYear, throughYearSmooth } from "../src/season/months.ts";

const STATION = {
  heightM: 1500,
  lowC: [-8, -7, -4, -1, 3, 7, 11, 10, 6, 1, -4, -7],
  highC: [3, 5, 9, 13, 18, 24, 29, 28, 23, 15, 7, 3],
  precipMm: [110, 95, 95, 65, 45, 25, 12, 12, 25, 50, 100, 110],
  sdK: 4.5,
};
export const DAYS = Array.from({ length: YEAR_DAYS }, (_, day) => day);

export function climateAt(heightM: number, { warmerK = 0, south = false } = {}): SnowClimate {
  const rise = heightM - STATION.heightM;
  const turned = (monthly: readonly number[]): number[] =>
    south ? monthly.map((_, month) => monthly[(month + 6) % 12]!) : [...monthly];
  const daily = turned(STATION.precipMm).map((mm, month) => mm / MONTH_LENGTHS[month]!);
  const low = throughYearSmooth(turned(STATION.lowC));
  const high = throughYearSmooth(turned(STATION.highC));
  return {
    meanC: DAYS.map((day) => (low[day]! - 0.0045 * rise + high[day]! - 0.0065 * rise) / 2 + warmerK),
    sdK: STATION.sdK,
    precipMm: DAYS.map((day) => throughYear(daily, day) * precipByHeight(rise)),
    south,
  };
}
/** Day of the year by month and day, of a leap year. */
export const dayOf = (month: number, day: number): number =>
  [0, 31, 60, 91, 121, 152, 182, 213, 244, 274, 305, 335][month - 1]! + day - 1;
