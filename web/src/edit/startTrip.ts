/** Starts a trip of your own. */
import {
  FINISH_ID,
  LAGGING_APPETITE,
  pieceSchema,
  PLAN_VERSION,
  planSchema,
  START_ID,
  type Hiker,
  type PaceSettings,
  type Piece,
  type Plan,
  type Section,
  type TrackPoints,
  type Units,
} from "@gepack/core";
import { alternateOf, type AlternateFound } from "./route.ts";
import { kitHere } from "../data/owned.ts";
import { pantryHere } from "../data/pantry.ts";
import { takePlan } from "../store/document.ts";
import { freshId } from "../store/made.ts";

export interface Start {
  track: TrackPoints;
  /** Other ways, each from and to the main trail. */
  alternates?: readonly AlternateFound[];
  /** What of the track is walked; all of it without. */
  sections?: readonly Section[];
  /** Stretches of it without heights. */
  heightless?: readonly { fromM: number; toM: number }[];
  /** The track was made from a table. */
  coarse?: boolean;
  lengthM: number;
  startDate: string;
  units: Units;
  /** Places and weather. */
  parts: Partial<Pick<Plan, "stops" | "sources" | "camps" | "stretches">> & {
    climate?: Pick<Plan["climate"], "stations">;
  };
  name?: string;
  /** Your own kit; what is known here, or a few usual pieces, without. */
  kit?: readonly Piece[];
  /** What is known of the hiker; the rest is an average woman's. */
  hiker?: Partial<Pick<Hiker, "name" | "sex" | "ageY" | "bodyKg" | "heightCm">> & {
    pace?: Partial<PaceSettings>;
  };
}

/** A new trip on a track: one hiker, everything not given at its defaults. */
export async function startTrip(start: Start): Promise<void> {
  const { track, alternates = [], sections = [], heightless = [], coarse = false, kit = [] } = start;
  const { lengthM, startDate, units, parts, name, hiker } = start;
  const owned = kit.length > 0 ? kit : await kitHere("me", pieceSchema.shape.spans.parse(wholeHike));
  const plan = planSchema.parse({
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: `trip-${freshId()}`,
    trip: { name: name || track.name || "My trip", startDate, units },
    trackIds: [track.id],
    route: {
      coarse,
      alternates: alternates.map(alternateOf),
      sections,
      heightless,
    },
    hikers: [
      {
        id: "me",
        name: "Hiker",
        ageY: 35,
        sex: "female",
        heightCm: 170,
        bodyKg: 68,
        ...(lengthM < LONG_TRIP_M ? {} : lagging),
        menus: { defaultId: "menu-cooked", coldId: "menu-cold" },
        ...hiker,
      },
    ],
    ...(await pantryHere()),
    ...parts,
    kit: owned.length > 0 ? owned : STARTER_KIT,
  });
  await takePlan({ plan, tracks: [track, ...alternates.map((found) => found.track)] });
}

/** Four weeks and more, about: on shorter walks the need is met; on longer ones appetite lags behind effort at first. */
const LONG_TRIP_M = 600_000;
const lagging = { food: { appetiteByWeek: [...LAGGING_APPETITE] } };

const wholeHike = [{ fromStopId: START_ID, toStopId: FINISH_ID }];
/** A few pieces with honest masses, so that the first figures of an own trip mean something. */
const STARTER_KIT = [
  { id: "k1", name: "Backpack", group: "Pack", massG: 1000, role: "pack" },
  { id: "k2", name: "Tent", group: "Shelter", massG: 1100, role: "shelter", volumeL: 4 },
  {
    id: "k3",
    name: "Sleeping bag, comfort 0 °C",
    group: "Sleep",
    massG: 850,
    role: "bag",
    comfortC: 0,
    limitC: -6,
    volumeL: 7,
  },
  { id: "k4", name: "Pad, R 3.5", group: "Sleep", massG: 420, role: "pad", padR: 3.5, volumeL: 1.5 },
  { id: "k5", name: "Spare clothes", group: "Clothes", massG: 1100, volumeL: 6 },
  { id: "k6", name: "Clothes and shoes worn", group: "Clothes", massG: 1500, wear: "worn", role: "shoes" },
  { id: "k7", name: "Bottles, 1 L", group: "Water", massG: 40, quantity: 3, role: "bottle", capacityL: 1 },
  { id: "k8", name: "Stove and pot", group: "Kitchen", massG: 230, role: "stove", volumeL: 1 },
  { id: "k9", name: "Repair, care and electronics", group: "Small items", massG: 900, volumeL: 2 },
].map((piece) => ({ ...piece, ownerId: "me", carrierId: "me", spans: wholeHike }));
