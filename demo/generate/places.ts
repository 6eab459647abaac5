/** Stops, water, stretches and camps of the Corvane Traverse. Kilometres are true ones. */
import type { Random } from "./random.ts";
import { tenth } from "./round.ts";
import { REGIONS } from "./terrain.ts";

type Service = "shop-small" | "shop-full" | "meals" | "post" | "outfitter" | "bed" | "laundry" | "socket";
type Access = "foot" | "hitch" | "shuttle";

export interface StopRow {
  id: string;
  name: string;
  km: number;
  offTrailM: number;
  access: Access;
  services: Service[];
  use: boolean;
  nights: number;
  hours: string;
  opensH?: number;
  closesH?: number;
  closedOn?: string[];
  postOpensH?: number;
  postClosesH?: number;
  postClosedOn?: string[];
  postHoldDays?: number;
  postLeastDays?: number;
  bedPrice?: number;
  ridePrice?: number;
  rideMin?: number;
  rideBackMin?: number;
  shuttleClocks?: number[];
  shuttleBackClocks?: number[];
  accessClimbM?: number;
  backClimbM?: number;
  lacks?: string[];
  infoFrom?: string;
  infoDate?: string;
  /** Seasons of the house and of its post counter, as MM-DD. */
  openFrom?: string;
  openTo?: string;
  postFrom?: string;
  postTo?: string;
  note: string;
}

const TOWN: Service[] = ["shop-full", "post", "bed", "laundry", "socket"];
const VILLAGE: Service[] = ["shop-small", "post", "bed", "socket"];
const OUTPOST: Service[] = ["shop-small", "socket"];

/** A shop in a town or village shuts at six, in a village on Sundays too; a counter is open from nine to four but for Sundays. */
function doors(services: readonly Service[]): Partial<StopRow> {
  if (!services.includes("post")) return {};
  return {
    opensH: 8,
    closesH: 18,
    ...(services.includes("shop-small") ? { closedOn: ["sun"] } : {}),
    postOpensH: 9,
    postClosesH: 16,
    postClosedOn: ["sun"],
    ...(services.includes("bed") ? { bedPrice: services.includes("shop-full") ? 38 : 26 } : {}),
    infoFrom: "Trail association’s list",
    infoDate: "2027-01-15",
  };
}

const row = (id: string, name: string, km: number, offTrailM: number, services: Service[], nights: number, hours = "", note = "", access: Access = "foot", season: Partial<StopRow> = {}): StopRow => ({
  id,
  name,
  km,
  offTrailM,
  access,
  services,
  use: true,
  nights,
  hours,
  ...doors(services),
  ...season,
  note,
});
const passed = (id: string, name: string, km: number, offTrailM: number, services: Service[], note: string, access: Access = "foot", season: Partial<StopRow> = {}): StopRow => ({
  ...row(id, name, km, offTrailM, services, 0, "", note, access, season),
  use: false,
});

const WEEKDAYS = "Post office open Monday to Saturday 9:00 to 16:00, closed on Sunday";

export const STOPS: readonly StopRow[] = [
  row("port-osk", "Port Osk", 0, 0, [...TOWN, "outfitter"], 1, WEEKDAYS),
  row("saltgate", "Saltgate", 96, 0, VILLAGE, 1, WEEKDAYS),
  row("mirror-wells", "Mirror Wells", 200, 600, VILLAGE, 1, WEEKDAYS),
  row("red-stair", "Red Stair", 271, 0, OUTPOST, 1),
  row("canner", "Canner", 359, 0, TOWN, 2, WEEKDAYS),
  row("hask-tank", "Hask Tank", 471, 0, OUTPOST, 1, "", "A ranch store by the stock tank; no gas.", "foot", { lacks: ["gas", "dried-meals"] }),
  row("dry-fork", "Dry Fork", 595, 900, VILLAGE, 2, WEEKDAYS),
  row("lanner-rest", "Lanner Rest", 677, 0, VILLAGE, 1, WEEKDAYS),
  row("ivory-gate", "Ivory Gate", 774, 0, [...TOWN, "outfitter"], 2, WEEKDAYS, "Last full shop before the range; canisters for hire."),
  row("pell-hut-road", "Pell Hut Road", 892, 1200, OUTPOST, 1, "", "Road head with a kiosk; the hut above it opens in June.", "foot", { accessClimbM: 40, backClimbM: 110, openFrom: "05-01", openTo: "10-31" }),
  row("overlook", "Overlook", 1023, 11_000, VILLAGE, 1, "Post office closed until 15 May; then Monday to Saturday", "Valley village, reached by shuttle from the pass.", "shuttle", {
    postFrom: "05-15",
    postTo: "10-31",
    rideMin: 35,
    rideBackMin: 45,
    ridePrice: 6,
    shuttleClocks: [9, 13.5, 17.5],
    shuttleBackClocks: [7.5, 12, 16],
    postHoldDays: 30,
    postLeastDays: 3,
    bedPrice: 26,
  }),
  row("colm-harbour", "Colm Harbour", 1111, 0, TOWN, 1, WEEKDAYS, "Lake steamer landing."),
  row("tarn-junction", "Tarn Junction", 1204, 0, VILLAGE, 1, WEEKDAYS),
  row("sael", "Sael", 1280, 0, [...TOWN, "outfitter"], 2, WEEKDAYS),
  row("upper-sael", "Upper Sael", 1364, 500, VILLAGE, 1, WEEKDAYS),
  row("birkenhol", "Birkenhol", 1465, 0, VILLAGE, 1, WEEKDAYS),
  row("nettle-ferry", "Nettle Ferry", 1537, 0, OUTPOST, 1, "Ferry 7:00 to 19:00"),
  row("orrin-mill", "Orrin Mill", 1632, 0, TOWN, 1, WEEKDAYS),
  row("grayle", "Grayle", 1720, 700, VILLAGE, 1, WEEKDAYS),
  row("northmoor", "Northmoor", 1812, 0, VILLAGE, 1, WEEKDAYS),
  row("fennet", "Fennet", 1890, 0, TOWN, 1, WEEKDAYS),
  row("skerry-pass", "Skerry Pass", 1974, 0, OUTPOST, 1),
  row("cape-ferrin", "Cape Ferrin", 2050, 0, ["shop-small", "bed", "socket"], 1),
  passed("flats-landing", "Flats Landing", 52, 2300, ["shop-small"], "A jetty with a kiosk."),
  passed("stair-filling", "Stair petrol station", 318, 14_000, ["shop-small"], "14 km off the trail along a hot road.", "hitch"),
  passed("brandt-ranch", "Brandt ranch", 529, 3400, ["post"], "Holds boxes for walkers; ring first."),
  passed("kestrel-pumps", "Kestrel pumps", 638, 5200, ["shop-small"], "Petrol and ice."),
  passed("pell-ski-hut", "Pell ski hut", 905, 2500, ["bed"], "Open from June.", "foot", { openFrom: "06-01", openTo: "10-15" }),
  passed("white-saddle", "White Saddle hut", 968, 800, ["bed"], "Warden from mid June; meals when open.", "foot", { openFrom: "06-15", openTo: "09-20" }),
  passed("colm-east", "Colm East landing", 1092, 1500, ["shop-small"], "Steamer on demand."),
  passed("sandholm", "Sandholm", 1325, 6000, ["shop-small", "bed"], "Village on the far shore.", "shuttle", { ridePrice: 4, shuttleClocks: [10, 15], shuttleBackClocks: [9, 14] }),
  passed("birch-camp", "Birch camp", 1410, 300, ["shop-small"], "Camp shop in season.", "foot", { openFrom: "05-15", openTo: "09-30" }),
  passed("weir-house", "Weir house", 1588, 400, ["bed"], "Bunks and a stove."),
  passed("moor-cross", "Moor Cross", 1766, 9000, ["shop-full", "post"], "Market town off the moor.", "hitch"),
];

export interface SourceRow {
  id: string;
  name: string;
  km: number;
  kind: "spring" | "creek" | "lake" | "tank" | "cache" | "tap" | "snow";
  reliable: boolean;
  chanceByMonth: number[];
  offTrailM: number;
  reports?: { date: string; said: "flowing" | "trickle" | "dry"; note: string }[];
  placedOn?: string;
  litres?: number;
}

type Kind = SourceRow["kind"];
/** Chance of finding water by month, January first. */
const CHANCE: Record<string, number[]> = {
  spring: [0.97, 0.97, 0.97, 0.97, 0.96, 0.95, 0.93, 0.9, 0.9, 0.93, 0.95, 0.97],
  creek: [0.95, 0.95, 0.95, 0.95, 0.93, 0.88, 0.8, 0.72, 0.72, 0.8, 0.9, 0.95],
  lake: Array<number>(12).fill(0.98),
  tap: Array<number>(12).fill(0.95),
  snow: [1, 1, 1, 1, 0.95, 0.8, 0.4, 0.1, 0.1, 0.5, 0.9, 1],
  tank: [0.8, 0.8, 0.82, 0.82, 0.78, 0.6, 0.5, 0.45, 0.5, 0.6, 0.7, 0.8],
  cache: [0.4, 0.4, 0.55, 0.65, 0.65, 0.5, 0.3, 0.3, 0.4, 0.5, 0.4, 0.4],
  seasonal: [0.9, 0.9, 0.85, 0.75, 0.5, 0.25, 0.1, 0.05, 0.1, 0.3, 0.6, 0.8],
};

const KINDS: Record<string, readonly Kind[]> = {
  dunmere: ["tap", "creek", "spring", "creek"],
  "red-stair": ["spring", "creek", "tank", "creek"],
  hask: ["tank", "spring", "creek", "tank"],
  ivory: ["creek", "lake", "snow", "creek", "spring"],
  sael: ["lake", "creek", "spring", "creek"],
  northmoor: ["creek", "creek", "lake", "spring"],
  ferrin: ["creek", "spring", "tap"],
};
const SPACING_KM: Record<string, number> = {
  dunmere: 14,
  "red-stair": 15,
  hask: 19,
  ivory: 4.6,
  sael: 6.5,
  northmoor: 6,
  ferrin: 9,
};
const FIRST = ["Upper", "Lower", "Old", "Cold", "Grey", "Long", "North", "South", "Stone", "Alder", "Willow", "Raven", "Otter", "Heron", "Amber", "Moss", "Thorn", "Lark", "Slate", "Fern"];
/** No trusted water for 52 km in the leg from Hask Tank; only a cache that somebody may have filled. */
const DRY_KM = [512, 564] as const;

export function buildSources(random: Random): SourceRow[] {
  const rows: SourceRow[] = [];
  for (const region of REGIONS) {
    const kinds = KINDS[region.id]!;
    for (let km = region.fromKm + 0.5 * SPACING_KM[region.id]!, n = 0; km < region.toKm; n++) {
      const kind = kinds[n % kinds.length]!;
      const dryCreek = kind === "creek" && (region.id === "hask" || region.id === "red-stair") && n % 8 === 2;
      const inDry = km > DRY_KM[0] - 3 && km < DRY_KM[1] + 3;
      if (!inDry) {
        const chance = CHANCE[dryCreek ? "seasonal" : kind]!;
        const name = `${FIRST[(rows.length * 7) % FIRST.length]!} ${dryCreek ? "wash" : kind === "snow" ? "snow bank" : kind}`;
        rows.push({
          id: `w${rows.length + 1}`,
          name,
          km: tenth(km),
          kind,
          reliable: chance[5]! >= 0.8,
          chanceByMonth: chance,
          offTrailM: kind === "spring" ? 100 : 0,
        });
      }
      km += SPACING_KM[region.id]! * (0.6 + 0.8 * random.uniform());
    }
  }
  const dry: SourceRow[] = [
    {
      id: "hask-trough",
      name: "Hask trough",
      km: DRY_KM[0],
      kind: "tank",
      reliable: true,
      chanceByMonth: Array<number>(12).fill(0.92),
      offTrailM: 0,
      reports: [{ date: "2027-04-19", said: "flowing", note: "half full, asked at Hask Tank" }],
    },
    {
      id: "halfway-cache",
      name: "Halfway cache",
      km: 538.6,
      kind: "cache",
      reliable: false,
      chanceByMonth: CHANCE["cache"]!,
      offTrailM: 0,
      placedOn: "2027-04-02",
      litres: 12,
      reports: [{ date: "2027-04-18", said: "dry", note: "two empty cans" }],
    },
    {
      id: "fork-spring",
      name: "Fork spring",
      km: DRY_KM[1],
      kind: "spring",
      reliable: true,
      chanceByMonth: CHANCE["spring"]!,
      offTrailM: 150,
      reports: [
        { date: "2026-05-02", said: "flowing", note: "last year" },
        { date: "2027-04-15", said: "trickle", note: "a litre in three minutes" },
      ],
    },
  ];
  return [...rows, ...dry].sort((a, b) => a.km - b.km);
}

export const STRETCHES = [
  {
    id: "dunmere-sand",
    name: "Dunmere beach",
    fromKm: 30,
    toKm: 47,
    kind: "surface",
    surface: "sand",
    note: "Soft above the tide line.",
  },
  { id: "port-road", name: "Harbour road", fromKm: 0, toKm: 4, kind: "surface", surface: "road", note: "" },
  { id: "stair-scree", name: "Red Stair ledges", fromKm: 286, toKm: 301, kind: "surface", surface: "scree", note: "" },
  {
    id: "hask-dry",
    name: "Hask dry stretch",
    fromKm: 512,
    toKm: 564,
    kind: "dry",
    note: "No trusted water. The cache may be empty.",
  },
  {
    id: "hask-fire",
    name: "Hask fire ban",
    fromKm: 400,
    toKm: 700,
    kind: "rule",
    rule: "fire-ban",
    note: "Gas stoves with a valve are allowed; ask the land manager.",
  },
  {
    id: "ivory-soft",
    name: "White Saddle soft snow",
    fromKm: 1004,
    toKm: 1016,
    kind: "snow",
    surface: "soft-snow",
    fromMonthDay: "10-01",
    toMonthDay: "06-30",
    note: "",
  },
  {
    id: "ivory-fords",
    name: "Ivory fords",
    fromKm: 930,
    toKm: 1150,
    kind: "hazard",
    note: "Melt-water fords: cross early in the day, unbuckled, never alone.",
  },
  {
    id: "pell-fork",
    name: "Pell fork",
    fromKm: 941.2,
    toKm: 941.3,
    kind: "ford",
    depthM: 0.42,
    speedMps: 0.75,
    refMonthDay: "06-20",
    refClockH: 13,
    basinKm2: 40,
    snowDistanceM: 3000,
    note: "Boulders; wider and shallower 200 m upstream.",
  },
  {
    id: "corrie-water",
    name: "Forefield water",
    fromKm: 1002,
    toKm: 1002.1,
    kind: "ford",
    glacier: true,
    basinKm2: 25,
    snowDistanceM: 1500,
    note: "Braided below the ice.",
  },
  { id: "long-beck", name: "Long beck", fromKm: 1118, toKm: 1118.1, kind: "ford", basinKm2: 180, snowDistanceM: 12_000, note: "" },
  {
    id: "sael-ticks",
    name: "Sael meadows",
    fromKm: 1210,
    toKm: 1330,
    kind: "ticks",
    fromMonthDay: "04-01",
    toMonthDay: "09-30",
    note: "",
  },
  {
    id: "white-saddle-no-camp",
    name: "White Saddle lakes",
    fromKm: 958,
    toKm: 971,
    kind: "rule",
    rule: "no-camping",
    note: "No camps beside the lakes, by the land manager's rule.",
  },
  {
    id: "ivory-canister",
    name: "Ivory canister rule",
    fromKm: 774,
    toKm: 1204,
    kind: "rule",
    rule: "hard-canister",
    note: "Bear canister required.",
  },
  {
    id: "ivory-permit",
    name: "Ivory permit",
    fromKm: 860,
    toKm: 1130,
    kind: "rule",
    rule: "permit",
    note: "Dated entry permit.",
  },
  {
    id: "sael-insects",
    name: "Sael insects",
    fromKm: 1204,
    toKm: 1632,
    kind: "insects",
    fromMonthDay: "06-10",
    toMonthDay: "08-10",
    note: "",
  },
  {
    id: "sael-roots",
    name: "Birkenhol thicket",
    fromKm: 1412,
    toKm: 1440,
    kind: "surface",
    surface: "light-brush",
    note: "",
  },
  { id: "moor-bog", name: "Northmoor bog", fromKm: 1668, toKm: 1742, kind: "surface", surface: "bog", note: "" },
  {
    id: "moor-bears",
    name: "Northmoor bears",
    fromKm: 1632,
    toKm: 1890,
    kind: "animals",
    note: "Store food as the land manager's rule says.",
  },
  {
    id: "moor-watershed",
    name: "Northmoor watershed",
    fromKm: 1758,
    toKm: 1781,
    kind: "faint-path",
    note: "No path on the peat: posts on the skyline, when it can be seen.",
  },
] as const;

/** Known camps away from stops; cold air pools in the hollows. */
export const CAMPS = [
  { id: "c1", name: "Salt pan hollow", km: 148, hollow: true },
  { id: "c2", name: "Stair ledge", km: 236, hollow: false },
  { id: "c3", name: "Canner wash", km: 402, hollow: true },
  { id: "c4", name: "Hask windbreak", km: 537, hollow: false },
  { id: "c5", name: "Lanner bench", km: 719, hollow: false },
  { id: "c6", name: "Ivory meadow", km: 836, hollow: true },
  { id: "c7", name: "Upper cirque", km: 941, hollow: false },
  { id: "c8", name: "Glacier forefield", km: 1001, hollow: true },
  { id: "c9", name: "Sael point", km: 1322, hollow: false },
  { id: "c10", name: "Moor shelter", km: 1846, hollow: false },
] as const;
