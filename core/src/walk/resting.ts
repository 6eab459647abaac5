/**
 * Resting metabolism, kcal a day. Mifflin, St Jeor et al. 1990, Am J Clin Nutr 51:241; n = 498,
 * 19 to 78 years, ±10 % for about four people in five. W kg, H cm, A years.
 */
export function mifflinStJeorKcalPerDay(body: {
  bodyKg: number;
  heightCm: number;
  ageY: number;
  sex: "female" | "male";
}): number {
  const kcal = 10 * body.bodyKg + 6.25 * body.heightCm - 5 * body.ageY + (body.sex === "male" ? 5 : -161);
  // The regression turns negative for no body the schema accepts except a very old, very light one.
  return Math.max(600, kcal);
}
