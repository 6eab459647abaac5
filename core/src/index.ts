/** The map of @gepack/core: everything the interface, the server and scripts may use. */
export { computePlan, Session } from "./session.ts";
export { explain, EXPLAINED, type Explained, type ExplainPath } from "./explain/explain.ts";
export type { Derivation, DerivationUnit } from "./explain/derivation.ts";
export { models, type Question } from "./models/index.ts";
export type { Confidence, Reason, School, Validity } from "./models/school.ts";
export { estimatedFatFraction } from "./models/resting.ts";
export { fluidAdvice, drinkLimits, wbgtC } from "./models/heat.ts";
export { compareFuels, type FuelComparison } from "./compare/fuels.ts";
export { compareSchools, stoveOf, type SchoolFigures } from "./compare/schools.ts";
export type { Power, PowerDay, PowerLeg } from "./power/power.ts";
export type { PlanResult, LegResult, LegHiker, LegEnergy, LegWarmth, DayResult, Schools } from "./result/result.ts";
export type { Check, CheckCode, Figure, FigureUnit, MendCode } from "./result/check.ts";
export type { Carry } from "./provision/water.ts";
export {
  FINISH_ID,
  PLAN_FORMAT,
  PLAN_VERSION,
  planSchema,
  hikerSchema,
  pieceSchema,
  campSchema,
  deviceSchema,
  DEVICE_KINDS,
  stationSchema,
  stopSchema,
  sourceSchema,
  stretchSchema,
  ROLES,
  SERVICES,
  SOURCE_KINDS,
  START_ID,
  SURFACES,
  type Camp,
  type DayRules,
  type Device,
  type Hiker,
  type Piece,
  type Plan,
  type Source,
  type Span,
  type Station,
  type Stop,
  type Stretch,
  type Surface,
  type Units,
} from "./plan/schema.ts";
export { readPlanFile, tracksSchema, writePlanFile, type PlanFile } from "./file/planFile.ts";
export { placeOf, readPlan, referenceProblems } from "./plan/read.ts";
export { gpxReader, readGpx, type GpxFile, type GpxReader } from "./track/gpx.ts";
export type { TrackPoints, Waypoint } from "./track/points.ts";
export { mendTracks, type Mended } from "./track/mend.ts";
export { buildProfile, type Profile } from "./track/profile.ts";
export { locate, nodeAt, walkedAt, type Located } from "./track/place.ts";
export { distanceM } from "./track/geodesic.ts";
export { refused, type Problem, type Reading } from "./units/problem.ts";
export { dayNumber, isoOfDay } from "./units/day.ts";
export { KG_PER_LB, L_PER_US_GAL, M_PER_FT, M_PER_MI } from "./units/constants.ts";
export { SURFACE_FACTORS as SURFACE_TABLE } from "./walk/surfaces.ts";
