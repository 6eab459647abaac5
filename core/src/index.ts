/** The map of @gepack/core: everything the interface, the server and scripts may use. */
export { computePlan, Session, type PlanResult } from "./session/session.ts";
export { keepEqual, memo } from "./session/memo.ts";
export { explain, EXPLAINED, type Explained, type ExplainPath } from "./explain/explain.ts";
export type { DerivationCode, RuleId, SourceId } from "./explain/codes.ts";
export type { Derivation, DerivationUnit } from "./explain/derivation.ts";
export { models, type Question } from "./models/index.ts";
export type { Confidence, Reason, School, Validity } from "./models/school.ts";
export { compareFuels, type FuelComparison } from "./compare/fuels.ts";
export { compareSchools, stoveOf, type SchoolFigures } from "./compare/schools.ts";
export { devicesOfKit, USUAL_DEVICES } from "./power/devicesOfKit.ts";
export { storeOf, type Power, type PowerDay, type PowerLeg, type Store } from "./power/power.ts";
export type { DayResult, LegEnergy, LegHiker, LegResult, PlanFigures, Schools } from "./result/result.ts";
export type { PackCells } from "./solve/trip.ts";
export type { NightWarmth } from "./warmth/night.ts";
export type { SleepKit } from "./warmth/sleep.ts";
export { checkFigures, type Check, type CheckCode } from "./checks/index.ts";
export type { FigureUnit, Severity } from "./checks/check.ts";
export { stoveOwner } from "./provision/stoves.ts";
export { LAGGING_APPETITE } from "./provision/food.ts";
export type { Carry } from "./provision/water.ts";
export { buildPantry, holdsItself, NO_FOOD, plusFood, type FoodFigures, type Pantry } from "./food/figures.ts";
export { DAY_MEALS, dayMenu, menuFigures, type DayMeal, type DayMenu } from "./food/menu.ts";
export { fillBag, type Filled, type FillLimits, type Impossible, type Limit, type Portion } from "./food/fillBag.ts";
export { readFoods, readMenus } from "./food/read.ts";
export type { Supplier } from "./food/mixes.ts";
export { pantryFoodOf, startingFoods, startingMenus } from "./food/starting.ts";
export {
  legBags,
  shoppingLists,
  supplierAt,
  type BagItem,
  type LegBag,
  type ShoppingItem,
  type ShoppingList,
} from "./bag/legBag.ts";
export {
  FOOD_COLUMNS,
  foodTableRows,
  readFoodTable,
  type Basis,
  type FoodColumn,
  type FoodTable,
  type FoodTold,
} from "./file/foodTable.ts";
export { fillLeg, legFill, menuOfBag, priceOfVariety, type BagAnswer, type LegFill } from "./bag/fillLeg.ts";
export {
  ACCESS,
  BOUGHT_IN,
  CAN_SIZES,
  CONDITIONS,
  DEMANDS,
  DEVICE_KINDS,
  EATEN,
  FINISH_ID,
  FOOD_BY,
  FUELS,
  GIVES,
  DECIDED_BY,
  LACKS,
  MEALS,
  MOST_HIKERS,
  PLAN_FORMAT,
  PLAN_VERSION,
  REPORTS,
  RIDE,
  RIDES,
  VERDICTS,
  ROLES,
  RULES,
  SERVICES,
  SNOW_ID,
  TAP,
  SOURCE_KINDS,
  SPAN_BEGINS,
  SPAN_ENDS,
  START_ID,
  STRETCH_KINDS,
  SURFACES,
  TRANSFER,
  TRAVELS,
  VARIED,
  WEEKDAYS,
  walkEnds,
} from "./plan/ids.ts";
export { decisionSchema, keptKitSchema, pieceSchema } from "./plan/kitSchema.ts";
export {
  deviceSchema,
  hikerSchema,
  planSchema,
  unitsSchema,
  type Alternate,
  type Camp,
  type Closure,
  type ClimateStation,
  type DayRules,
  type Device,
  type FillSettings,
  type Food,
  type Forecast,
  type ForecastDay,
  type Hiker,
  type Meal,
  type Menu,
  type MenuChoice,
  type MenuItem,
  type PaceSettings,
  type PlanDecision,
  type LogDay,
  type PlannedDay,
  type KeptKit,
  type KitStory,
  type Modification,
  type Piece,
  type Pin,
  type Plan,
  type ThermometerReading as ThermometerReading,
  type Resupply,
  type Section,
  type Source,
  type Span,
  type Stop,
  type StoveSettings,
  type Stretch,
  type Surface,
  type Units,
} from "./plan/schema.ts";
export { climateStationSchema, forecastSchema, MOST_FORECAST_DAYS, readingSchema } from "./plan/climateSchema.ts";
export { campSchema, pinSchema, sourceSchema, stopSchema, stretchSchema } from "./plan/placesSchema.ts";
export { alternateSchema, closureSchema, sectionSchema } from "./plan/routeSchema.ts";
export { mostRows, numberField, type NumberField } from "./plan/fields.ts";
export { LISTS, type ListName } from "./plan/lists.ts";
export { nearestUsedStop, removeAlternate, removeHiker, removeRow, trackIdsOf } from "./plan/removal.ts";
export { readPlanFile, tracksSchema, type PlanFile } from "./file/planFile.ts";
export { writePlanFile } from "./file/write.ts";
export { readPlan } from "./plan/read.ts";
export { withRowIds } from "./plan/rowIds.ts";
export { isVisible, MOST_NAME } from "./plan/visible.ts";
export { foodQuestions, type FoodQuestion } from "./places/questions.ts";
export { chanceDrying, type Remarks } from "./places/remarks.ts";
export { sortWaypoint, type OwnWord, type SortedKind, type WaypointWords } from "./places/sortWaypoint.ts";
export type { Offer, WaterKind, WaypointKind } from "./places/words.ts";
export {
  COLUMN_MEANINGS,
  guessColumns,
  readMileTable,
  tableRows,
  type ColumnMeaning,
  type LengthUnit,
  type MileRow,
  type MileTable,
  type TableColumn,
  type TableReading,
} from "./places/mileTable.ts";
export { namesCoordinates } from "./track/csv.ts";
export { packTotals, tripTotals, type PackFigures, type TripTotals } from "./figures/headline.ts";
export { joinPlaces } from "./places/same.ts";
export { comparePlaces, type FoundPlace, type KnownPlace, type PlaceComparison } from "./places/compare.ts";
export { coarseTrack, type CoarseRow, type CoarseTrack } from "./track/coarse.ts";
export { turnRound } from "./plan/turn.ts";
export { simulatedNormals, type Normals, type NormalsPlace } from "./season/normals.ts";
export { guessSea, SEA_KM, simulatedStations, type SeaWord } from "./season/simulated.ts";
export { csvText } from "./file/csvText.ts";
export { decoded, encodingOf } from "./track/encoding.ts";
export type { TrackFile, TrackReader } from "./track/collect.ts";
export { gpxReader, readGpx } from "./track/gpx.ts";
export {
  comesOn,
  makeChange,
  finishOptions,
  type Change,
  type Goal,
  type FinishKind,
  type FinishOption,
} from "./compare/finishBy.ts";
export { FORBIDDEN_BY_BANS } from "./models/fuel.ts";
export { passages, type Passage } from "./water/passage.ts";
export { assumedBetween, assumedEveryM } from "./water/assumed.ts";
export { bottlesOf, bottlesLess, leastBottles, litreKgKm } from "./water/bottles.ts";
export { isTreated, treatedLegs, treatFill, methodsFor, type TreatedLeg, type Treatment } from "./water/treat.ts";
export { readReports, type ReadReport, type ReportReading } from "./file/reports.ts";
export type { DryCarry } from "./provision/water.ts";
export type { ReportWord } from "./plan/schema.ts";
export { fuelLines, type FuelLine } from "./compare/fuels.ts";
export { bankLegs, type BankLegs } from "./compare/banks.ts";
export { givenUp, switchOffs, type SwitchedOff } from "./compare/switchOff.ts";
export { compareMenus, type MenuOnHike } from "./compare/menus.ts";
export { startsAround, sweepStarts, type StartFigures } from "./compare/starts.ts";
export { UNKNOWN_FORD as UNTOLD_FORD, type FordPassage } from "./conditions/fords.ts";
export { seasonWhys, type SeasonFigure, type SeasonWhy } from "./conditions/why.ts";
export { legAsks, legConditions, type LegAsks, type LegConditions } from "./conditions/legs.ts";
export { buildPlane, PLANE_DAYS, seasonOf, type Plane, type PlanePlan } from "./conditions/plane.ts";
export { hoursOn, houseOpening, inSeason, openDuring, postOpening, weekdayOf, type Weekday } from "./stops/openings.ts";
export {
  comesByPost,
  foodByOf,
  moneyTotal,
  stopFigures,
  type FoodBy,
  type StopBox,
  type StopFigures,
  type StopMoney,
} from "./stops/stays.ts";
export { POST_PLACES, postPlaceOf, simulatedTransit, type PostPlace } from "./stops/simulatedPost.ts";
export { comesWithin, meanTransitDays, sendingDays } from "./stops/post.ts";
export { readNormals, type NormalsReading } from "./season/pasteNormals.ts";
export { PLANE_QUANTITIES, type PlaneQuantity } from "./conditions/placeYear.ts";
export { calendarDays, writeDaysCsv, type CalendarDay } from "./file/days.ts";
export { ADVICE_FORMAT, advisedPieces, readAdvice, type AdviceFile, type Advised } from "./file/advice.ts";
export { placeRows, type PlaceRow } from "./file/places.ts";
export { legSheet, type LegSheet } from "./file/sheet.ts";
export { writeGeoJson, writeGpx, writeMileTable, type OpenInput } from "./file/open.ts";
export { arrangeTrack, joinTracks, type Arranged } from "./track/arrange.ts";
export { readFit } from "./track/fit.ts";
export {
  arrangeParts,
  partsOfFile,
  proposeChoices,
  type ArrangedParts,
  type Part,
  type PartChoice,
  type PartRole,
} from "./track/parts.ts";
export { readTrackFile } from "./track/readTrackFile.ts";
export { isFit, isPacked, trackReaderFor, unpackedBytes, unpacker } from "./track/trackFile.ts";
export type { TrackPoints, Waypoint } from "./track/points.ts";
export { sameTrack } from "./track/points.ts";
export { packTrack, unpackTrack } from "./track/packed.ts";
export { repairTracks, type Repairs, type RepairedTrack } from "./track/repair.ts";
export { tooLong } from "./track/limit.ts";
export { buildProfile, PROFILE_VERSION, type Profile } from "./track/profile.ts";
export {
  isWalked,
  locate,
  nodeOf,
  nodesOn,
  placeAt,
  trackAt,
  walkedAt,
  walkedOf,
  type Located,
  type Placed,
} from "./track/place.ts";
export { layRoute, routeKey } from "./track/lay.ts";
export { plainRoute, type Route } from "./track/route.ts";
export { distanceM } from "./track/geodesic.ts";
export { applyChanges, changesBetween, type Change as PlanChange } from "./plan/changes.ts";
export { refusedIn } from "./plan/touched.ts";
export { refused, type Problem, type ReadResult } from "./units/problem.ts";
export type { TrackM, WalkedM } from "./units/lengths.ts";
export { dayNumber, dayOfYear, isoOfDay } from "./units/day.ts";
export { holdsOn } from "./walk/terrain.ts";
export { pastPace, type PastPace, type PastWalk, type SlopePace } from "./walk/pastWalk.ts";
export { foodComes } from "./walk/halts.ts";
export { readNumber, tidyNumbers } from "./units/number.ts";
export { KG_PER_LB, L_PER_US_GAL, M_PER_FT, M_PER_MI } from "./units/constants.ts";
export { isSnow, surfacesBy } from "./walk/surfaces.ts";
export { choiceCount, stopChoices, type ChoiceName, type StopChoice } from "./search/choices.ts";
export { figuresOf, type SetFigures } from "./search/figures.ts";
export type { Flip } from "./search/flips.ts";
export {
  nameSets,
  searchStops,
  takeSet,
  type Relaxed,
  type SearchEnd,
  type SearchEvent,
  type SetName,
  type SetStop,
  type StopSet,
} from "./search/search.ts";
export type { Bar } from "./search/steps.ts";
export { demandsOf, type Demand, type DemandKind } from "./cover/demands.ts";
export { coverOf, idlePieces, serves, usesOf, type Cover, type Idle } from "./cover/cover.ts";
export { givesOf, guessGives, type Give } from "./cover/gives.ts";
export { type PieceSwap, type Swaps, type SwapReason } from "./cover/swaps.ts";
export { MOST_SWAP_ROUNDS, swapRounds, type FoundSwaps } from "./cover/swapRounds.ts";
export { weighKits, type KitFigures, type KitVariant, type WeighedKit } from "./cover/figures.ts";
export {
  alternativesTo,
  gramsPerPrice,
  isTakenAlong,
  onShelf,
  purposeOf,
  rankPieces,
  wholeHike,
  withAlternative,
  type Ranked,
  type RankWeights,
} from "./cover/alternatives.ts";
export {
  compareLists,
  listNow,
  listOnLeg,
  type ListChange,
  type ListedPiece,
  type ListsCompared,
} from "./cover/lists.ts";
export { decisionsOf, type Decision } from "./cover/decisions.ts";
export { isInside, packingOf, rideOf, type Packed, type Packing, type Ride } from "./cover/packing.ts";
export { ownedPieces, type OwnedFor, type StoredTrip } from "./kit/owned.ts";
export { KIT_STYLES, starterKit, type KitStyle, type StarterChoice } from "./kit/starterLists.ts";
export { legOn, swapsByStop, whereabouts, type StopSwaps, type Whereabouts } from "./cover/whereabouts.ts";
export { shareFairly, type ShareBy, type Sharing } from "./cover/share.ts";
export {
  groupsAlong,
  kitWeights,
  typicalPack,
  type GroupAlong,
  type TypicalPack,
  type GroupWeight,
  type KitWeights,
} from "./cover/weights.ts";
export { pieceOfLine, readKitLine, readKitLines, type KitLine } from "./file/kitLines.ts";
export {
  KIT_COLUMNS,
  kitTableRows,
  readKitTable,
  type KitColumn,
  type KitTable,
  type NewPieces,
} from "./file/kitTable.ts";
export { shoeWear, usedUp, type ShoeWear, type UsedUp } from "./cover/wear.ts";
export { simulatedScale, type ScaleReading } from "./kit/simulatedScale.ts";

export { refillsOf, type Refill } from "./boxes/refills.ts";
export { postagePrice } from "./stops/post.ts";
export { boxKey, boxesOf, rowOf as boxRowOf, sendingDates, type BoxFault, type PlannedBox } from "./boxes/boxes.ts";
export { luggageOf, travelsOf, type Luggage, type Travels } from "./boxes/travels.ts";
export { boxLineSchema, boxSchema, type BoxLine, type BoxRow } from "./plan/boxSchema.ts";
export { leavingSheet, rulesAhead, type SheetPiece } from "./boxes/leaving.ts";
export { cardsOf, type CardFault, type CardFigures } from "./log/cards.ts";
export { fitLog, fitOf, PRIORS, withFits, type Fit, type Fitted, type Observed } from "./log/fit.ts";
export { pieceRecords, type PieceRecord } from "./log/pieces.ts";
export { rationState, type Left, type RationState as LogStanding } from "./log/enough.ts";
export { hikeOf, planOfHike, type Hike, type HikeLeg } from "./odds/hike.ts";
export { TROUBLES, type Trouble, type Varied } from "./odds/hikes.ts";
export { reserveOdds, TRIED_RESERVES, type ReserveOdds } from "./odds/reserves.ts";
export {
  simulate,
  simulateInParts,
  tellOdds,
  type Chance,
  type LegOdds,
  type Odds,
  type Range,
} from "./odds/simulate.ts";
export { bestChoices, firstChoices, waterOn, type FirstChoice } from "./levers/first.ts";
export { makeLever, type Lever, type LeverField } from "./levers/lever.ts";
export {
  LEVER_TARGETS,
  pullLevers,
  valueIn,
  type LeverFigures,
  type LeverTarget,
  type PulledRow,
} from "./levers/pull.ts";
export { restFrom } from "./variants/rest.ts";
export { takePart, VARIANT_PARTS, type VariantPart } from "./variants/merge.ts";
export {
  differencesOf,
  tellVariant,
  type Difference,
  type VariantFigures,
  type VariantReport,
} from "./variants/compare.ts";
export { TRUST_GROUPS, trustOf, type Trust, type TrustGroup } from "./odds/trust.ts";
export { AGAINST, againstPlan, type Against, type AgainstDay } from "./log/against.ts";
export { writeLogGpx } from "./file/logGpx.ts";
export { shakedownOf, withShakedown, type CarriedOver, type Shakedown } from "./log/shakedown.ts";
export { logReadings, nightBias, type NightBias } from "./log/readings.ts";
export { AWAY_M, walkedDays, type WalkedDay, type WalkedRecord } from "./log/walkedDays.ts";
export { simulatedTracker, type TrackerAnswer, type TrackerFix } from "./log/simulatedTracker.ts";
export { logDaySchema, plannedDaySchema } from "./plan/logSchema.ts";
export { FITTED, LOGGED_NIGHTS, PIECE_EVENTS } from "./plan/ids.ts";
export { bankWh } from "./models/battery.ts";
