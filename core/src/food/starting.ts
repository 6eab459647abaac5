/**
 * The pantry one starts with: generic foods, figures per 100 g of the food as packed. Energy and nutrients are
 * round figures as public food composition tables give them, from memory [M]: the label on your own packet goes
 * first. Bulk, portions, prices and times are judgement [L]. Atwater's factors (4, 9, 4 kcal/g, fibre 2) agree with
 * the energy to a fifth, which the tests hold.
 */
import { MEALS } from "../plan/ids.ts";
import { pantryFoodSchema, type Food, type Meal, type Menu } from "../plan/pantrySchema.ts";

export const STARTING_SOURCE = "composition tables, from memory";

/** kcal, protein, fat, carbohydrate without fibre, fibre in g, sodium in mg; then kg/L, portion g, pack g, price of 100 g. */
type Row = readonly [id: string, name: string, ...Figures, more?: Partial<Food>];
type Figures = [number, number, number, number, number, number, number, number, number, number];
// prettier-ignore
const FIELDS = [
  "id", "name", "energyKcal", "proteinG", "fatG", "carbohydrateG", "fibreG", "sodiumMg", "bulkKgPerL", "portionG",
  "packG", "price",
] as const;

const cooked = (waterL: number, minutes: number): Partial<Food> => ({ eaten: "boiled", waterL, minutes });
const soaked = (waterL: number, soakH: number): Partial<Food> => ({ eaten: "soaked", waterL, soakH });
const small: Partial<Food> = { boughtIn: "shop-small" };
const home: Partial<Food> = { boughtIn: "home" };

// prettier-ignore
const ROWS: readonly Row[] = [
  ["oats", "Rolled oats", 375, 13, 7, 59, 10, 5, 0.4, 80, 500, 0.3, { ...cooked(0.25, 3), ...small, tags: ["vegan"] }],
  ["muesli", "Muesli with fruit", 370, 10, 7, 62, 8, 30, 0.42, 90, 750, 0.6, { ...soaked(0.12, 0.2), ...small }],
  ["granola", "Crunchy granola", 460, 9, 18, 62, 7, 150, 0.45, 80, 500, 0.9, { ...soaked(0.12, 0) }],
  ["cornflakes", "Maize flakes", 375, 7, 1, 83, 3, 500, 0.12, 50, 375, 0.6, { ...soaked(0.2, 0), ...small }],
  ["semolina", "Semolina", 350, 12, 1, 71, 4, 2, 0.7, 70, 500, 0.25, cooked(0.4, 4)],
  ["couscous", "Couscous", 365, 13, 1, 72, 5, 10, 0.72, 90, 500, 0.35, { ...soaked(0.15, 0.5), ...small, tags: ["vegan"] }],
  ["bulgur", "Fine bulgur", 345, 12, 1.5, 66, 10, 15, 0.72, 90, 500, 0.4, soaked(0.2, 1)],
  ["instant-rice", "Quick rice", 360, 7, 1, 80, 1.5, 10, 0.45, 90, 500, 0.6, { ...cooked(0.18, 5), tags: ["vegan", "no gluten"] }],
  ["white-rice", "White rice", 355, 7, 0.7, 79, 1, 3, 0.8, 80, 1000, 0.25, { ...cooked(0.25, 15), ...small }],
  ["noodle-brick", "Fried noodle brick", 450, 9, 18, 62, 3, 1600, 0.32, 90, 90, 0.8, { ...cooked(0.45, 3), ...small }],
  ["rice-noodles", "Rice noodles", 360, 6, 0.6, 82, 1.5, 60, 0.3, 90, 400, 0.6, { ...soaked(0.35, 0.7), tags: ["no gluten"] }],
  ["pasta", "Thin pasta", 360, 12, 1.5, 72, 3, 5, 0.5, 110, 500, 0.3, { ...cooked(0.5, 7), ...small }],
  ["potato-flakes", "Potato flakes", 354, 8, 0.5, 77, 6, 80, 0.36, 75, 200, 0.8, { ...cooked(0.45, 1), ...small, tags: ["no gluten"] }],
  ["polenta", "Quick polenta", 355, 8, 1.5, 75, 4, 2, 0.72, 80, 500, 0.4, cooked(0.4, 3)],
  ["quinoa-flakes", "Quinoa flakes", 370, 14, 6, 60, 7, 5, 0.4, 80, 250, 1.6, cooked(0.3, 3)],
  ["red-lentils", "Red lentils", 350, 24, 1.5, 52, 11, 10, 0.8, 70, 500, 0.4, cooked(0.3, 12)],
  ["dried-beans", "Precooked bean flakes", 350, 21, 2, 53, 15, 300, 0.4, 80, 200, 1.5, { ...soaked(0.25, 0.7), ...home, tags: ["vegan"] }],
  ["chickpea-crunch", "Roast chickpeas", 380, 20, 6, 53, 14, 250, 0.55, 40, 150, 1.3],
  ["soya-mince", "Soya mince", 340, 50, 2, 22, 14, 15, 0.25, 40, 200, 0.9, { ...cooked(0.25, 6), tags: ["vegan"] }],
  ["flat-bread", "Flat bread", 300, 8, 7, 50, 3, 600, 0.55, 62, 370, 0.6, { ...small, keepsDays: 5 }],
  ["crispbread", "Rye crispbread", 350, 10, 2, 65, 15, 450, 0.25, 50, 250, 0.5, small],
  ["crackers", "Salted crackers", 430, 9, 13, 67, 3, 900, 0.25, 50, 200, 0.7, small],
  ["dark-bread", "Dense dark bread", 210, 6, 1.5, 39, 8, 450, 0.9, 80, 500, 0.4, { ...small, keepsDays: 5 }],
  ["biscuits", "Butter biscuits", 490, 7, 21, 67, 2, 350, 0.45, 50, 200, 0.7, small],
  ["oat-bar", "Oat bar", 440, 8, 17, 61, 6, 150, 0.6, 50, 50, 1.6, small],
  ["nut-bar", "Nut bar", 520, 14, 34, 38, 7, 150, 0.6, 40, 40, 2.6, small],
  ["protein-bar", "Protein bar", 380, 33, 12, 33, 6, 300, 0.7, 60, 60, 3.5],
  ["fruit-bar", "Fruit bar", 340, 3, 4, 71, 7, 10, 0.8, 40, 40, 2.2],
  ["energy-gel", "Sugar gel", 260, 0, 0, 65, 0, 150, 1.1, 40, 40, 3.5],
  ["peanuts", "Salted peanuts", 600, 26, 50, 12, 8, 400, 0.6, 60, 500, 0.9, { ...small, tags: ["nuts"] }],
  ["almonds", "Almonds", 600, 21, 51, 9, 12, 1, 0.58, 50, 200, 1.8, { ...small, tags: ["nuts"] }],
  ["cashews", "Cashews", 580, 18, 45, 29, 3, 15, 0.58, 50, 200, 2, { tags: ["nuts"] }],
  ["walnuts", "Walnuts", 670, 15, 65, 7, 7, 2, 0.45, 40, 200, 2, { tags: ["nuts"] }],
  ["hazelnuts", "Hazelnuts", 645, 15, 61, 7, 10, 1, 0.58, 40, 200, 2, { tags: ["nuts"] }],
  ["sunflower", "Sunflower seeds", 590, 21, 50, 14, 9, 5, 0.55, 40, 300, 0.7],
  ["pumpkin-seeds", "Pumpkin seeds", 580, 30, 49, 8, 6, 10, 0.55, 40, 200, 1.4],
  ["trail-mix", "Nuts and raisins", 480, 14, 30, 38, 6, 20, 0.6, 60, 200, 1.2, { ...small, tags: ["nuts"] }],
  ["peanut-butter", "Peanut butter", 610, 25, 51, 13, 7, 350, 1.02, 50, 350, 1, { ...small, tags: ["nuts"] }],
  ["almond-butter", "Almond butter", 625, 21, 56, 9, 10, 5, 1.02, 50, 250, 2.4, { tags: ["nuts"] }],
  ["nut-cream", "Chocolate nut spread", 540, 6, 31, 57, 4, 40, 1.1, 40, 400, 0.8, small],
  ["tahini", "Sesame paste", 630, 20, 57, 10, 9, 30, 1, 40, 300, 1.3],
  ["honey", "Honey", 320, 0.3, 0, 80, 0, 4, 1.4, 25, 500, 1, small],
  ["jam", "Jam", 255, 0.5, 0, 62, 1, 10, 1.3, 30, 340, 0.6, small],
  ["hard-cheese", "Hard cheese", 400, 26, 33, 1, 0, 700, 1, 60, 200, 1.5, { ...small, keepsDays: 10, meltsC: 30, tags: ["milk"] }],
  ["smoked-cheese", "Smoked cheese sticks", 310, 24, 23, 2, 0, 800, 0.95, 40, 160, 2, { keepsDays: 8, meltsC: 30, tags: ["milk"] }],
  ["spread-cheese", "Foil cheese portions", 260, 11, 22, 5, 0, 900, 1, 35, 140, 1.2, { ...small, keepsDays: 30, tags: ["milk"] }],
  ["salami", "Dry sausage", 430, 23, 37, 1, 0, 1900, 0.95, 50, 200, 2, { ...small, keepsDays: 20, tags: ["meat"] }],
  ["jerky", "Dried meat strips", 300, 50, 7, 10, 0, 2000, 0.45, 40, 80, 6, { keepsDays: 60, tags: ["meat"] }],
  ["bacon-bits", "Cured bacon bits", 480, 33, 38, 1, 0, 2300, 0.5, 20, 100, 3, { keepsDays: 30, tags: ["meat"] }],
  ["tuna-pouch", "Tuna in oil, pouch", 200, 26, 10, 0, 0, 380, 1, 90, 90, 2.4, { ...small, keepsDays: 0, tags: ["fish"] }],
  ["sardines", "Sardines in oil, tin", 210, 24, 12, 0, 0, 450, 0.9, 90, 110, 1.5, { ...small, keepsDays: 0, tags: ["fish"] }],
  ["chicken-pouch", "Chicken, pouch", 120, 24, 2, 0, 0, 400, 1, 100, 100, 2.6, { keepsDays: 0, tags: ["meat"] }],
  ["egg-powder", "Whole egg powder", 590, 47, 42, 4, 0, 480, 0.4, 25, 200, 3, { ...cooked(0.2, 3), ...home, tags: ["egg"] }],
  ["milk-powder", "Whole milk powder", 495, 26, 27, 38, 0, 370, 0.5, 30, 400, 1.1, { waterL: 0.4, ...small, tags: ["milk"] }],
  ["skim-milk", "Skim milk powder", 360, 35, 1, 52, 0, 500, 0.5, 25, 400, 1, { waterL: 0.5, tags: ["milk"] }],
  ["coconut-powder", "Coconut milk powder", 670, 7, 63, 20, 2, 150, 0.45, 20, 150, 2, { waterL: 0.2, ...home }],
  ["protein-powder", "Whey powder", 390, 78, 6, 7, 0, 300, 0.4, 30, 900, 2.5, { waterL: 0.5, ...home, tags: ["milk"] }],
  ["butter", "Butter", 740, 1, 82, 1, 0, 10, 0.95, 20, 250, 1, { ...small, keepsDays: 7, meltsC: 32, tags: ["milk"] }],
  ["ghee", "Clarified butter", 890, 0, 99, 0, 0, 2, 0.92, 20, 300, 1.6, { ...home, tags: ["milk"] }],
  ["olive-oil", "Olive oil", 884, 0, 100, 0, 0, 1, 0.92, 20, 500, 1, { ...small, tags: ["vegan", "no gluten"] }],
  ["coconut-oil", "Coconut oil", 880, 0, 99, 0, 0, 0, 0.92, 20, 300, 1.2, { meltsC: 24 }],
  ["chocolate", "Milk chocolate", 540, 8, 31, 57, 2, 80, 0.8, 50, 100, 1.2, { ...small, meltsC: 28, tags: ["milk"] }],
  ["dark-chocolate", "Dark chocolate", 590, 8, 43, 36, 11, 15, 0.8, 50, 100, 1.6, { ...small, meltsC: 30 }],
  ["nut-chocolate", "Chocolate with nuts", 560, 9, 37, 48, 4, 60, 0.8, 50, 100, 1.3, { ...small, meltsC: 28, tags: ["nuts"] }],
  ["caramel-bar", "Caramel and nougat bar", 470, 5, 20, 67, 1, 180, 0.85, 50, 50, 1.6, { ...small, meltsC: 28 }],
  ["fruit-gums", "Fruit gums", 340, 6, 0.2, 78, 0, 40, 0.75, 50, 300, 0.8, small],
  ["hard-candy", "Boiled sweets", 390, 0, 0, 97, 0, 30, 0.75, 20, 200, 0.8, small],
  ["halva", "Sesame halva", 520, 12, 31, 47, 5, 100, 0.95, 50, 250, 1.4],
  ["raisins", "Raisins", 300, 3, 0.5, 69, 5, 15, 0.65, 40, 250, 0.6, { ...small, tags: ["vegan"] }],
  ["apricots", "Dried apricots", 240, 3.5, 0.5, 53, 8, 10, 0.65, 40, 250, 1.3, { tags: ["vegan"] }],
  ["dates", "Dried dates", 280, 2.5, 0.4, 65, 8, 3, 0.75, 40, 250, 1],
  ["mango", "Dried mango", 320, 2.5, 1, 75, 4, 30, 0.5, 40, 150, 2],
  ["apple-rings", "Dried apple rings", 250, 1, 0.5, 58, 9, 20, 0.3, 30, 150, 1.6],
  ["banana-chips", "Fried banana chips", 520, 2.5, 31, 55, 6, 6, 0.35, 40, 200, 0.9],
  ["dried-vegetables", "Dried vegetable mix", 290, 11, 1.5, 50, 17, 150, 0.25, 20, 100, 2.4, { ...cooked(0.5, 8), ...home }],
  ["dried-mushrooms", "Dried mushrooms", 300, 20, 3, 35, 25, 30, 0.15, 10, 50, 6, { ...cooked(1, 10), ...home }],
  ["fried-onions", "Fried onions", 590, 6, 44, 40, 5, 400, 0.2, 15, 150, 1.2],
  ["tomato-powder", "Tomato powder", 310, 13, 1, 55, 16, 130, 0.5, 12, 100, 3, { waterL: 0.5, ...home }],
  ["soup-powder", "Soup powder", 340, 9, 8, 56, 4, 5500, 0.55, 20, 60, 1.8, { ...cooked(1.25, 3), ...small }],
  ["stock-cube", "Stock powder", 240, 11, 11, 24, 1, 17_000, 0.8, 4, 60, 2, { ...cooked(5, 1), ...small }],
  ["curry-sauce", "Sauce powder", 380, 9, 12, 56, 5, 5000, 0.55, 25, 40, 2.4, { ...cooked(0.8, 3), ...small }],
  ["salt", "Salt", 0, 0, 0, 0, 0, 38_700, 1.2, 2, 500, 0.1, small],
  ["sugar", "Sugar", 400, 0, 0, 100, 0, 0, 0.85, 10, 1000, 0.2, small],
  ["instant-coffee", "Instant coffee", 240, 14, 0.5, 42, 0, 40, 0.25, 2, 100, 4, { ...cooked(10, 2), ...small }],
  ["tea", "Tea bags", 0, 0, 0, 0, 0, 0, 0.2, 2, 50, 4, { ...cooked(12, 3), ...small }],
  ["cocoa-drink", "Cocoa drink powder", 390, 6, 3, 82, 5, 120, 0.6, 25, 400, 0.8, { ...cooked(0.8, 2), ...small, tags: ["milk"] }],
  ["electrolyte", "Electrolyte powder", 200, 0, 0, 50, 0, 12_000, 0.8, 6, 60, 8, { waterL: 8 }],
  ["sports-drink", "Sports drink powder", 380, 0, 0, 95, 0, 900, 0.8, 30, 500, 1.2, { waterL: 1.6 }],
  ["ready-pasta", "Ready dinner, pasta", 430, 18, 14, 56, 5, 1100, 0.3, 130, 130, 6, { ...cooked(0.3, 8) }],
  ["ready-curry", "Ready dinner, rice and curry", 440, 14, 15, 60, 5, 1200, 0.3, 130, 130, 6.4, { ...cooked(0.3, 8) }],
  ["ready-stew", "Ready dinner, potato stew", 455, 17, 19, 51, 7, 1300, 0.3, 125, 125, 6.8, { ...cooked(0.35, 8) }],
  ["ready-breakfast", "Ready breakfast, porridge", 440, 12, 15, 62, 7, 150, 0.35, 100, 100, 5, { ...cooked(0.2, 5) }],
];

/** Own mixes: parts in grams, and how they are made. */
const MIXES: readonly (readonly [string, string, Record<string, number>, Partial<Food>])[] = [
  [
    "mix-porridge",
    "Oat, nut and milk mix",
    { oats: 60, "milk-powder": 20, raisins: 15, almonds: 15, sugar: 8 },
    cooked(0.22, 3),
  ],
  [
    "mix-overnight",
    "Overnight oats, soaked",
    { oats: 60, "milk-powder": 18, apricots: 15, sunflower: 15 },
    soaked(0.2, 6),
  ],
  [
    "mix-lentil-rice",
    "Rice, lentil and onion",
    { "instant-rice": 60, "red-lentils": 35, "fried-onions": 12, "stock-cube": 5, "olive-oil": 12 },
    cooked(0.26, 14),
  ],
  [
    "mix-noodle-peanut",
    "Noodles with peanut sauce",
    { "noodle-brick": 90, "peanut-butter": 25, "dried-vegetables": 10 },
    cooked(0.38, 4),
  ],
  [
    "mix-couscous-tomato",
    "Couscous with tomato and seeds",
    { couscous: 85, "tomato-powder": 8, "pumpkin-seeds": 15, "olive-oil": 15, "stock-cube": 3 },
    soaked(0.2, 0.7),
  ],
  [
    "mix-potato-bacon",
    "Potato, cheese and bacon",
    { "potato-flakes": 75, "bacon-bits": 20, "milk-powder": 15, butter: 10 },
    cooked(0.38, 2),
  ],
  [
    "mix-bean-bowl",
    "Beans, soaked, with maize crackers",
    { "dried-beans": 80, crackers: 40, "olive-oil": 10, "tomato-powder": 5 },
    soaked(0.22, 1),
  ],
  [
    "mix-pasta-soya",
    "Pasta with soya and tomato",
    { pasta: 90, "soya-mince": 25, "tomato-powder": 10, "olive-oil": 12 },
    cooked(0.45, 9),
  ],
  [
    "mix-curry-cashew",
    "Rice, curry and cashew",
    { "instant-rice": 90, "curry-sauce": 18, cashews: 20, "coconut-powder": 10 },
    cooked(0.22, 6),
  ],
  ["mix-trail", "Nut, fruit and chocolate mix", { almonds: 30, peanuts: 30, raisins: 30, "dark-chocolate": 20 }, {}],
];

/** What is no food for along the trail. */
// prettier-ignore
const MEAL_OF: Readonly<Record<Exclude<Meal, "way">, readonly string[]>> = {
  breakfast: [
    "oats", "muesli", "granola", "cornflakes", "semolina", "quinoa-flakes", "milk-powder", "skim-milk",
    "ready-breakfast", "mix-porridge", "mix-overnight",
  ],
  dinner: [
    "couscous", "bulgur", "instant-rice", "white-rice", "noodle-brick", "rice-noodles", "pasta", "potato-flakes",
    "polenta", "red-lentils", "dried-beans", "soya-mince", "egg-powder", "coconut-powder", "olive-oil", "ghee",
    "dried-vegetables", "dried-mushrooms", "fried-onions", "tomato-powder", "soup-powder", "stock-cube",
    "curry-sauce", "salt", "bacon-bits", "ready-pasta", "ready-curry", "ready-stew", "mix-lentil-rice",
    "mix-noodle-peanut", "mix-couscous-tomato", "mix-potato-bacon", "mix-bean-bowl", "mix-pasta-soya",
    "mix-curry-cashew",
  ],
  drinks: ["instant-coffee", "tea", "cocoa-drink", "electrolyte", "sports-drink", "protein-powder", "sugar"],
};

function usualMeal(id: string): Meal {
  for (const [meal, ids] of Object.entries(MEAL_OF)) if (ids.includes(id)) return meal as Meal;
  return "way";
}

/** A food with what is not given at its defaults. */
export function pantryFoodOf(fields: Pick<Food, "id" | "name"> & Partial<Food>): Food {
  return pantryFoodSchema.parse(fields);
}

/** A fresh copy, so that nobody edits what others start with. */
export function startingFoods(): Food[] {
  const foods = ROWS.map((row) => {
    const figures = Object.fromEntries(FIELDS.map((field, i) => [field, row[i]]));
    return pantryFoodSchema.parse({ ...figures, meal: usualMeal(row[0]), source: STARTING_SOURCE, ...row[12] });
  });
  const mixes = MIXES.map(([id, name, parts, how]) =>
    pantryFoodSchema.parse({
      id,
      name,
      portionG: Object.values(parts).reduce((sum, massG) => sum + massG, 0),
      boughtIn: "home",
      meal: usualMeal(id),
      source: "your mix",
      parts: Object.entries(parts).map(([foodId, massG]) => ({ id: foodId, foodId, massG })),
      ...how,
    }),
  );
  return [...foods, ...mixes];
}

type Items = Record<string, number>;

/** A food with a star stays as it is on days that need more. */
const menuOf = (id: string, name: string, meals: Partial<Record<Meal, Items>>): Menu => ({
  id,
  name,
  meals: Object.fromEntries(
    MEALS.map((meal) => [
      meal,
      Object.entries(meals[meal] ?? {}).map(([key, massG]) => {
        const foodId = key.replace("*", "");
        return { id: foodId, foodId, massG, grows: !key.endsWith("*") };
      }),
    ]),
  ) as Menu["meals"],
});

/** Menus one starts with: a stove twice a day, a jar to soak in, packets that only want hot water, a day in the cold. */
// prettier-ignore
export function startingMenus(): Menu[] {
  return [
    menuOf("menu-cooked", "Cooked day", {
      breakfast: { "mix-porridge": 115, "instant-coffee*": 4 },
      way: { "flat-bread": 90, "hard-cheese": 45, "peanut-butter": 45, "nut-chocolate": 50, "trail-mix": 60, "oat-bar": 50, apricots: 30 },
      dinner: { "mix-lentil-rice": 124, "soup-powder*": 20, "nut-cream": 25 },
      drinks: { "electrolyte*": 6, "tea*": 2 },
    }),
    menuOf("menu-soaked", "Soaked day", {
      breakfast: { "mix-overnight": 120 },
      way: { crackers: 50, "nut-cream": 40, salami: 40, "oat-bar": 50, "fruit-gums": 40, peanuts: 50, raisins: 35, biscuits: 40 },
      dinner: { "mix-couscous-tomato": 150, jerky: 15, halva: 25 },
      drinks: { "electrolyte*": 6 },
    }),
    menuOf("menu-ready", "Ready-meal day", {
      breakfast: { "ready-breakfast": 115, "instant-coffee*": 4 },
      way: { "nut-bar": 80, "oat-bar": 50, crackers: 50, "hard-cheese": 45, "nut-chocolate": 50, "trail-mix": 60 },
      dinner: { "ready-curry": 160, "cocoa-drink": 25 },
      drinks: { "electrolyte*": 6, "tea*": 2 },
    }),
    menuOf("menu-cold", "Cold day", {
      breakfast: { "mix-porridge": 130, butter: 12, "instant-coffee*": 4 },
      way: { crispbread: 60, butter: 25, "hard-cheese": 60, "nut-chocolate": 60, "trail-mix": 70, "peanut-butter": 40 },
      dinner: { "mix-noodle-peanut": 125, "bacon-bits": 15, "cocoa-drink*": 25 },
      drinks: { "electrolyte*": 3, "tea*": 4 },
    }),
  ];
}
