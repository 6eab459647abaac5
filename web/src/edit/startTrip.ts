/** Starts a trip of your own. */
import {
  devicesOfKit,
  FINISH_ID,
  LAGGING_APPETITE,
  pieceSchema,
  PLAN_VERSION,
  planSchema,
  START_ID,
  starterKit,
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
    kit: owned.length > 0 ? owned : usualKit(),
    devices: devicesOfKit(kit, []),
  });
  await takePlan({ plan, tracks: [track, ...alternates.map((found) => found.track)] });
}

/** Four weeks and more, about: on shorter walks the need is met; on longer ones appetite lags behind effort at first. */
const LONG_TRIP_M = 600_000;
const lagging = { food: { appetiteByWeek: [...LAGGING_APPETITE] } };

/** A few usual pieces with honest masses, so that the first figures of an own trip mean something; their ids say so. */
function usualKit() {
  const to = { hikerId: "me", spans: pieceSchema.shape.spans.parse(wholeHike), idOf: () => `${USUAL}${freshId()}` };
  return starterKit({ style: "usual", stove: true, hung: false }, to);
}

export const USUAL = "usual-";
const wholeHike = [{ fromStopId: START_ID, toStopId: FINISH_ID }];
