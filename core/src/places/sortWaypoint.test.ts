/** Made-up waypoints with what they are. A label is the kinds in order, `water:tank` where it is given of which sort. */
import { describe, expect, test } from "vitest";
import { sortWaypoint, type SortedKind, type WaypointWords } from "./sortWaypoint.ts";

const kindsOf = (kinds: readonly SortedKind[]): string =>
  kinds
    .map(({ kind }) => kind)
    .sort()
    .join("+");

/** label | name | symbol | description */
const LABELLED = `
water|Tarn, lake water||
water|Heron spring||
water|Otter Creek|Drinking Water|
water|Upper tank||piped, seasonal
water|Pump by the barn||
water|Old well||
water|Cattle trough||
water|Black Tarn||
water|Water 12||
water|WS034|Water Source|
water|Cache at the gate|Water Source|20 gallons
water|W07 Piped spring||
water|Faucet behind the church||
water|Solar windmill||
water|Reservoir inlet||
water|Gully seep||
water|Ice field|Glacier|
water|Trinkwasserbrunnen||
water|Brunnen am Waldrand||
water|Schwarzbach||
water|Marienquelle||
water|Bergsee||
water|Quelle (saisonal)||
water|Viehtränke||
water|Fontaine du berger||
water|Source de la Combe||
water|Ruisseau des Aulnes||
water|Lac Bleu||
water|Point d'eau||
water|Abreuvoir||
water|Fuente del Pastor||
water|Arroyo Hondo||
water|Laguna Negra||
water|Abrevadero||
water|Manantial||
water|Sorgente del Lupo||
water|Lago Verde||
water|Fontanella||
water|Torrente Freddo||
water|Abbeveratoio||
stop|Millbrook|Town|
stop|Ashfield village||
stop|Corner store||
stop|Grocery||
stop|Post Office Danby||
stop|Red Barn Hostel||
stop|Lakeside Lodge||
stop|Hikers' hut||
stop|Lake Village||
stop|Pine Ridge Ranch||
stop|Gas station 4 mi west||
stop|General Store, Elk Fork||
stop|Laundromat||
stop|Trail Angel||
stop|POI 9|Lodging|
stop|Fuel and snacks|Gas Station|
stop|Resupply box|Parcel Pickup|
stop|Gear shop||
stop|Berghütte Steinmoos||
stop|Schwarzwaldhütte||
stop|Gasthof Adler||
stop|Bäckerei||
stop|Jugendherberge Altental||
stop|Supermarkt||
stop|Postamt||
stop|Bahnhof Unterau||
stop|Tankstelle||
stop|Refuge du Lac||
stop|Gîte d'étape||
stop|Boulangerie||
stop|Épicerie du village||
stop|Bureau de poste||
stop|Auberge de jeunesse||
stop|Hameau des Combes||
stop|Albergue municipal||
stop|Refugio de la Laguna||
stop|Supermercado||
stop|Pueblo Viejo||
stop|Tienda de comestibles||
stop|Correos||
stop|Rifugio Alpe Alta||
stop|Alimentari Rosa||
stop|Ufficio postale||
stop|Albergo Sole||
stop|Panificio||
stop|Ostello||
camp|Spring Creek Campground||
camp|Camp 3||
camp|Tentsite 114||
camp|Flat spot|Campground|
camp|Bivy site||
camp|Meadow lean-to||
camp|Stony Shelter||
camp|Pine Hollow camp||
camp|Zeltplatz am Moor||
camp|Biwak||
camp|Trekkingplatz 7||
camp|Aire de bivouac||
camp|Abri sous roche||
camp|Camping municipal||
camp|Zona de acampada||
camp|Vivac||
camp|Bivacco Fanti||
camp|Area tende||
camp|Campeggio||
ford|Ford||
ford|Clear Creek crossing||
ford|River crossing, waist deep in June||
ford|Furt||
ford|Gué||
ford|Vado||
ford|Guado||
hazard|Rockfall zone||
hazard|Danger: washout||
hazard|X1|Danger Area|
hazard|Trail closed||
hazard|Steinschlag||
hazard|Lawinengefahr||
hazard|Chute de pierres||
hazard|Peligro||
hazard|Caduta massi||
landmark|Windy Pass||
landmark|Junction with old road||
landmark|Trailhead||
landmark|Mount Ash summit||
landmark|Scenic viewpoint||
landmark|Bridge||
landmark|Parking|Parking Area|
landmark|Kreuzung||
landmark|Steinjoch||
landmark|Graugipfel||
landmark|Col de la Biche||
landmark|Carrefour||
landmark|Collado Alto||
landmark|Mirador||
landmark|Passo del Corvo||
landmark|Bivio||
stop+water|Hut with a spring||
stop+water|Lodge, water||
stop+water|Berghütte mit Quelle||
stop+water|Refuge, source||
stop+water|Rifugio / fontana||
camp+water|Camp by the creek||
camp+water|Tentsite and spring||
camp+water|Pine flat|Campground|Water: spring 200 m down the trail
camp+water|Campsite, tarn||
camp+water|Zona de acampada con fuente||
camp+water|Bivouac et source||
camp+water|Zeltplatz mit Brunnen||
camp+water|Beaver Pond camp|Water Source|
stop|Store||sells stove fuel, holds boxes
other|||
other|Waypoint 17||
other|A||
other|Start||
other|Km 45||
other|Lunch with Kim||
other|Blue marker|Flag, Blue|
other|Turn left here||
other|Photo spot 3||
other|Xyzzy||
other|Statue||
other|Old oak|Pin, Green|
other|Spring (dry)||
other|Dry tank||
other|No water here||
other|Kein Wasser||
other|Quelle versiegt||
other|Pas d'eau||
other|Sin agua||
other|Senz'acqua, fontana asciutta||
other|No camping||
other|Zelten verboten||
other|Camping interdit||
other|Prohibido acampar||
other|Divieto di campeggio||
`
  .trim()
  .split("\n")
  .map((line) => {
    const [label, name, symbol, description] = line.split("|") as [string, string, string, string];
    return { label, words: { name, symbol, description } satisfies WaypointWords };
  });

/** Kinds as one says them, with names before and after as each language puts them. */
const NAMES = ["Ash", "Brenner", "Corvo", "Dunmore", "Elva", "Fenn"];
const SAID: readonly (readonly [label: string, phrase: (name: string) => string])[] = [
  ["water", (name) => `${name} Spring`],
  ["water", (name) => `${name} Lake`],
  ["water", (name) => `Source de ${name}`],
  ["water", (name) => `Fuente de ${name}`],
  ["water", (name) => `Lago di ${name}`],
  ["water", (name) => `${name}er Quelle`],
  ["stop", (name) => `${name} Hostel`],
  ["stop", (name) => `${name} General Store`],
  ["stop", (name) => `Hotel ${name}`],
  ["stop", (name) => `Refuge de ${name}`],
  ["stop", (name) => `Rifugio ${name}`],
  ["stop", (name) => `${name}hütte`],
  ["camp", (name) => `${name} Creek Campsite`],
  ["camp", (name) => `Camping ${name}`],
  ["camp", (name) => `${name} Lake shelter`],
  ["ford", (name) => `${name} Creek ford`],
  ["landmark", (name) => `${name} Pass`],
  ["landmark", (name) => `Col de ${name}`],
  ["landmark", (name) => `Passo di ${name}`],
  ["hazard", (name) => `${name} rockfall`],
  ["other", (name) => `${name} corner`],
  ["other", (name) => `Meet ${name} here`],
];
const crossed = SAID.flatMap(([label, phrase]) =>
  NAMES.map((name) => ({ label, words: { name: phrase(name) } satisfies WaypointWords })),
);
const ALL: readonly { label: string; words: WaypointWords }[] = [...LABELLED, ...crossed];

describe("over three hundred made-up waypoints", () => {
  test("at least 95 % are what they are", () => {
    expect(ALL.length).toBeGreaterThanOrEqual(300);
    const wrong = ALL.filter(({ label, words }) => kindsOf(sortWaypoint(words)) !== label).map(
      ({ label, words }) => `${label} ≠ ${kindsOf(sortWaypoint(words))}: ${words.name} ${words.symbol ?? ""}`,
    );
    expect(wrong.length / ALL.length, wrong.join("\n")).toBeLessThanOrEqual(0.05);
  });

  test("nothing unknown is ever a stop, nor is what is not sure of a word", () => {
    for (const { label, words } of ALL)
      if (label === "other") for (const { kind } of sortWaypoint(words)) expect(kind, words.name).toBe("other");
  });

  test("every answer names the word that made it, and how sure it is", () => {
    for (const { words } of ALL)
      for (const { kind, word, sure } of sortWaypoint(words)) {
        expect(sure).toBeLessThanOrEqual(1);
        if (kind !== "other") expect(word.length, words.name).toBeGreaterThan(0);
      }
  });
});

describe("what it offers", () => {
  const first = (words: WaypointWords): SortedKind => sortWaypoint(words)[0]!;

  test("a town has shop, post and bed; a store has what it is; a hut has a bed", () => {
    expect(first({ name: "Millbrook", symbol: "Town" }).offers).toEqual(["shop-full", "post", "bed"]);
    expect(first({ name: "Corner store" }).offers).toEqual(["shop-small"]);
    expect(first({ name: "Berghütte" }).offers).toEqual(["bed"]);
    expect(first({ name: "Hostel", description: "Laundry. Post office next door." }).offers).toEqual([
      "bed",
      "laundry",
      "post",
    ]);
  });

  test("water is of its sort, better told by the name than by the symbol, and seasonal where it says so", () => {
    expect(first({ name: "Tarn, lake water", symbol: "Water Source" }).water).toBe("lake");
    expect(first({ name: "Heron spring" })).toMatchObject({ water: "spring", word: "spring" });
    expect(first({ name: "Heron spring" }).seasonal).toBeUndefined();
    expect(first({ name: "Heron spring", description: "seasonal" }).seasonal).toBe(true);
    const unsure = ["unverified", "flow unknown", "débit inconnu", "Schüttung ungewiss", "sin confirmar"];
    for (const description of unsure)
      expect(first({ name: "Heron spring", description })).toMatchObject({ unknown: true });
    expect(first({ name: "Quelle, unzuverlässig" }).seasonal).toBe(true);
    for (const name of ["Spring (dry in August)", "Source tarie en été", "Quelle, im Sommer trocken"])
      expect(first({ name })).toMatchObject({ kind: "water", seasonal: true });
    expect(first({ name: "Source tarie" })).toMatchObject({ kind: "other" });
    expect(first({ name: "Old tank", description: "seasonal, often dry" })).toMatchObject({
      water: "tank",
      seasonal: true,
    });
    expect(first({ name: "Old tank", description: "dry" }).kind).toBe("other");
  });

  test("a bar is one where the name begins with it, and not where sand is told of", () => {
    const [light] = sortWaypoint({ name: "Long Bar Light", symbol: "Lodging" });
    expect(light!.offers).toEqual(["bed"]);
    expect(sortWaypoint({ name: "Long Bar sands" })[0]!.kind).toBe("other");
    expect(sortWaypoint({ name: "Bar Central" })[0]!.offers).toEqual(["meals"]);
    expect(sortWaypoint({ name: "Old Oak", symbol: "Bar" })[0]!.offers).toEqual(["meals"]);
  });

  test("a cache ends, though its symbol tells of drinking water", () => {
    expect(sortWaypoint({ name: "Cache 3", symbol: "Drinking Water" })[0]).toMatchObject({
      kind: "water",
      water: "cache",
    });
  });

  test("a guesthouse is no shop, an outfitter no post, unless it is written", () => {
    expect(first({ name: "Gasthof Adler" }).offers).toEqual(["meals", "bed"]);
    expect(first({ name: "Gasthof Adler", description: "mit Dorfladen" }).offers).toContain("shop-small");
    expect(first({ name: "Ridge Outfitters", description: "fuel, no mail" }).offers).toEqual(["outfitter"]);
    expect(first({ name: "Millbrook", symbol: "Town", description: "no post office, small store" }).offers).toEqual([
      "shop-full",
      "bed",
    ]);
  });

  test.each([
    ["Elk Creek", "store and post", "stop"],
    ["Alder Bridge", "Holds packages for hikers", "stop"],
    ["Stone Gap", "Staffed hut with beds, meals", "stop"],
    ["The Blue Door", "takes mail", "stop"],
    ["Elk Creek", "store 4 mi to the east", "water"],
    ["Elk Creek", "good water", "water"],
    ["Alder camp", "store at the office", "camp"],
  ])("%s, %s: a %s", (name, description, kind) => {
    expect(first({ name, description }).kind).toBe(kind);
  });

  test("the name outranks the description", () => {
    expect(kindsOf(sortWaypoint({ name: "Windy Pass", description: "Great camp if no wind" }))).toBe("landmark");
    expect(first({ name: "Flat 9", description: "Campsite for two tents" })).toMatchObject({ kind: "camp", sure: 0.5 });
  });

  test("a type that says stop makes one; the word in a name does not", () => {
    expect(kindsOf(sortWaypoint({ name: "Flats Landing", type: "stop" }))).toBe("stop");
    expect(kindsOf(sortWaypoint({ name: "Stop 5" }))).toBe("other");
  });

  test("odd text does no harm", () => {
    for (const name of ["", " ", "|||", "🏕️", "a".repeat(100_000), "\u0000", "de de de", "((((", "水"])
      expect(sortWaypoint({ name, description: name })).toHaveLength(1);
  });
});
