/** Five made-up trails as people have them, in five formats, with what is true of them. */
export interface OwnTrail {
  name: string;
  /** Its name, and what is in it. */
  file: readonly [name: string, text: string];
  lengthKm: number;
  climbM: number;
  /** How many places of each kind the file has. */
  kinds: Partial<Record<"stops" | "water" | "camps", number>>;
  /** A sentence of the page must say so. */
  says: RegExp[];
  /** No believable plan leaves with more. */
  mostKg: number;
}

/** Degrees of latitude to a kilometre on a meridian. */
const KM_DEG = 1 / 111.195;
const LAT_DEG = 44;
const latOf = (km: number): number => LAT_DEG + km * KM_DEG;

interface Ground {
  km: number;
  /** Waves of the ground: so high from valley to top, so far from top to top. */
  waveM: number;
  waveKm: number;
  baseM: number;
  lonDeg: number;
}

const heightAt = ({ waveM, waveKm, baseM }: Ground, km: number): number =>
  baseM + (waveM / 2) * (1 - Math.cos((2 * Math.PI * km) / waveKm));
const climbOf = ({ km, waveM, waveKm }: Ground): number => (waveM * km) / waveKm;
const STEP_KM = 0.1;
const stepsOf = ({ km }: Ground): number[] =>
  Array.from({ length: Math.round(km / STEP_KM) + 1 }, (_, i) => i * STEP_KM);

interface Spot {
  name: string;
  km: number;
  note?: string;
}

const gpx = (ground: Ground, spots: readonly Spot[], isHeightless: (km: number) => boolean = () => false): string =>
  `<gpx version="1.1">${spots
    .map(
      ({ name, km, note }) =>
        `<wpt lat="${latOf(km).toFixed(6)}" lon="${ground.lonDeg}"><name>${name}</name>${note ? `<desc>${note}</desc>` : ""}</wpt>`,
    )
    .join("")}<trk><name>Trail</name><trkseg>${stepsOf(ground)
    .map((km) => {
      const ele = isHeightless(km) ? "" : `<ele>${heightAt(ground, km).toFixed(1)}</ele>`;
      return `<trkpt lat="${latOf(km).toFixed(6)}" lon="${ground.lonDeg}">${ele}</trkpt>`;
    })
    .join("")}</trkseg></trk></gpx>`;

const point = (ground: Ground, { km }: Spot): [number, number] => [ground.lonDeg, latOf(km)];
const line = (ground: Ground): number[][] =>
  stepsOf(ground).map((km) => [ground.lonDeg, latOf(km), heightAt(ground, km)]);

const huts: Ground = { km: 200, waveM: 900, waveKm: 20, baseM: 900, lonDeg: 9 };
const ridge: Ground = { km: 620, waveM: 500, waveKm: 16, baseM: 700, lonDeg: 12 };
const inns: Ground = { km: 300, waveM: 160, waveKm: 12, baseM: 300, lonDeg: -4 };
const desert: Ground = { km: 380, waveM: 300, waveKm: 25, baseM: 1100, lonDeg: -112 };
const wild: Ground = { km: 240, waveM: 400, waveKm: 15, baseM: 500, lonDeg: 16 };

const every = (fromKm: number, stepKm: number, count: number, of: (i: number) => Omit<Spot, "km">): Spot[] =>
  Array.from({ length: count }, (_, i) => ({ ...of(i), km: fromKm + i * stepKm }));

const hutSpots: Spot[] = [
  ...every(18, 40, 5, (i) => ({ name: `Hut ${i + 1}`, note: "staffed, meals and beds, June to September" })),
  ...every(40, 50, 4, (i) => ({ name: `Lower village ${i + 1}`, note: "small shop, bus 3x a day" })),
  ...every(5, 9, 21, (i) => ({ name: `Spring ${i + 1}`, note: i % 3 === 0 ? "often dry after July" : "good flow" })),
];
const ridgeSpots: Spot[] = [
  ...every(75, 90, 6, (i) => ({
    name: ["Elk Creek", "Stone Gap", "Marlow", "Tarrant", "Ash Ford", "Dunmoor"][i]!,
    note: "store and post, closed Sundays",
  })),
  ...every(12, 14, 43, (i) => ({ name: `Water ${i + 1}` })),
  { name: "Fell Lodge", km: 300, note: "rooms; holds parcels for hikers" },
];
const innSpots: Spot[] = [
  ...every(20, 20, 14, (i) => ({
    name: `Albergue ${i + 1}`,
    note: i % 2 === 0 ? "beds, dinner; tienda" : "beds, dinner",
  })),
  ...every(10, 15, 19, (i) => ({ name: `Fuente ${i + 1}` })),
];
const desertSpots: Spot[] = [
  ...every(95, 95, 3, (i) => ({ name: `Town ${i + 1}`, note: "supermarket, post office" })),
  ...every(20, 24, 6, (i) => ({ name: `Tank ${i + 1}` })),
];
const wildSpots: Spot[] = [
  { name: "Old mine", km: 120, note: "takes mail; resupply boxes held 30 days" },
  ...every(6, 8, 29, (i) => ({ name: `Tarn ${i + 1}` })),
  ...every(22, 24, 9, (i) => ({ name: `Flat camp ${i + 1}`, note: "room for tents" })),
];

const features = (ground: Ground, spots: readonly Spot[], key: string): string =>
  JSON.stringify({
    type: "FeatureCollection",
    features: [
      { type: "Feature", properties: { name: "Trail" }, geometry: { type: "LineString", coordinates: line(ground) } },
      ...spots.map((spot) => ({
        type: "Feature",
        properties: { title: spot.name, ...(spot.note ? { [key]: spot.note } : {}) },
        geometry: { type: "Point", coordinates: point(ground, spot) },
      })),
    ],
  });

const kml = (ground: Ground, spots: readonly Spot[]): string =>
  `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><name>Trail</name>${spots
    .map(
      (spot) =>
        `<Placemark><name>${spot.name}</name>${spot.note ? `<ExtendedData><Data name="remarks"><value>${spot.note}</value></Data></ExtendedData>` : ""}<Point><coordinates>${point(ground, spot).join(",")}</coordinates></Point></Placemark>`,
    )
    .join("")}<Placemark><name>Trail</name><LineString><coordinates>${line(ground)
    .map((one) => one.join(","))
    .join(" ")}</coordinates></LineString></Placemark></Document></kml>`;

export const OWN_TRAILS: readonly OwnTrail[] = [
  {
    name: "huts and villages, GPX",
    file: ["huts.gpx", gpx(huts, hutSpots)],
    lengthKm: huts.km,
    climbM: climbOf(huts),
    kinds: { stops: 9, water: 21 },
    says: [/4 of the 9 listed/],
    mostKg: 16,
  },
  {
    name: "a ridge with towns, heights missing, GPX",
    file: ["ridge.gpx", gpx(ridge, ridgeSpots, (km) => km > 400 && km < 437)],
    lengthKm: ridge.km,
    climbM: climbOf({ ...ridge, km: ridge.km - 37 }),
    kinds: { stops: 7, water: 43 },
    says: [/3[67](\.\d)? km|2[23](\.\d)? mi/],
    mostKg: 18,
  },
  {
    name: "from bed to bed, KML",
    file: ["inns.kml", kml(inns, innSpots)],
    lengthKm: inns.km,
    climbM: climbOf(inns),
    kinds: { stops: 14, water: 19 },
    says: [/of the 14 listed/],
    mostKg: 15,
  },
  {
    name: "desert with unlisted water, GeoJSON",
    file: ["desert.geojson", features(desert, desertSpots, "notes")],
    lengthKm: desert.km,
    climbM: climbOf(desert),
    kinds: { stops: 3, water: 6 },
    says: [/\d+ assumed/],
    mostKg: 20,
  },
  {
    name: "a wild traverse with one place for boxes, GeoJSON",
    file: ["wild.geojson", features(wild, wildSpots, "info")],
    lengthKm: wild.km,
    climbM: climbOf(wild),
    kinds: { stops: 1, water: 29, camps: 9 },
    says: [/1 of the 1 listed/],
    mostKg: 19,
  },
];
