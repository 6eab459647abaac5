/** Labels and sources of the Why panel. */
export const DERIVATION_LABEL: Record<string, string> = {
  start: "Pack leaving the stop", base: "Base weight", consumables: "Consumables", food: "Food", "food-eaten": "Eaten on the leg", "food-reserve": "Reserve",
  menu: "Menu", "meals-need": "Burned over the carried meals", "meal-days": "Meals carried, in days", "need-per-day": "Burned per day", appetite: "Appetite in these weeks",
  covered: "Covered after the planned shortfall", density: "Energy density", water: "Water to the first source", fuel: "Fuel", boils: "Boils", "grams-per-boil": "Per boil",
  "kg-per-g": "Kilograms per gram", carry: "Water to carry", "carry-walking": "Drunk while walking", "carry-camps": "Dry camps", "dry-camps": "Nights without a source",
  "per-dry-camp": "Dinner, night and breakfast", "carry-reserve": "Reserve", "drunk-at-source": "Drunk before leaving", energy: "Burned per day", walking: "Walking", "walk-hours": "Walking hours",
  "walk-per-hour": "Per walking hour", resting: "At rest and camp chores", thermic: "Digesting food", cold: "Cold days",
};

export const SOURCE_WORDS: Record<string, string> = {
  "pandolf-santee": "Pandolf, Givoni & Goldman 1977; downhill Santee and others 2003. ±15 %, ±30 % steep downhill.",
  "mifflin-st-jeor": "Mifflin, St Jeor and others 1990, other hours only. ±10 % for most people.",
  thermic: "10 % of the rest, once.",
  "cold-allowance": "100 kcal per 10 K that the day's mean is below freezing; a stated allowance.",
  "heat-and-distance": "Litres per km of your setting, rising from 20 °C, doubled at 32 °C; field rule.",
  "own-setting": "Your setting.",
  "appetite-ramp": "75, 85, 95, 100 % of need in weeks 1 to 4; a stated ramp.",
  "meals-not-in-town": "Town's dinners and breakfasts are not carried.",
  "fuel-heat": "Heat into water and pot at the camp's boiling point, plus a fifth for wind and spill.",
  "one-litre-one-kilogram": "1 L weighs 1 kg.",
  energy: "See “Burned per day”.",
};

export const WHY_CAUTION: Record<string, string> = {
  start: "Loads near the limit hurt knees and judgement. Rules of thumb are no medical advice.",
  food: "Long shortfalls cost muscle and warmth. Eat more if you lose weight fast, and take medical advice.",
  carry: "Any source may be dry today: ask locally. Treat what you drink. Drinking far beyond thirst is dangerous too.",
  energy: "People differ by a quarter and more. Measure yourself on a trial walk.",
};
