/**
 * Electricity, day by day, in watt hours as they reach the devices. Devices' own batteries and the banks are
 * one store, of the party or of each hiker: use, less what the sun gives, filled again wherever a stop has a socket.
 * Cold takes from what can be drawn, and gives it back on warming; below freezing nothing is charged.
 */
import {
  bankWh,
  coldCapacity,
  DELIVERED,
  DEVICE_ACCEPTS,
  LEAST_CHARGING_C,
  radiationWh,
  setsFor,
  solarWh,
  sunHours,
  type SolarPanel,
} from "../models/battery.ts";
import type { Device, Piece, Plan } from "../plan/schema.ts";
import { skyAt, type Season } from "../season/season.ts";
import { walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayOfYear } from "../units/day.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { Halt } from "../walk/halts.ts";
import type { DayPart } from "../walk/walk.ts";

export interface PowerDay {
  day: number;
  legIndex: number;
  usedWh: number;
  solarWh: number;
  wallWh: number;
  /** What was wanted and not there. */
  shortWh: number;
  /** Before the socket, where there is one. */
  leftWh: number;
  /** At the end of the day, with what joins or leaves at the stop. */
  storedWh: number;
  /** Of that, what the cold lets out, as a share of the whole store. */
  usableFraction: number;
}

export interface SpareCells {
  deviceId: string;
  neededSets: number;
  haveSets: number;
}

export interface PowerLeg {
  /** Of the batteries carried on the leg. */
  capacityWh: number;
  /** Least that could be drawn on the leg before its last stop, as a share of the store. */
  lowestFraction: number;
  lowestDay: number;
  /** First day on which something was missing. */
  flatDay: number | undefined;
  shortWh: number;
  /** Devices on spare cells that need more sets than are carried. */
  spare: SpareCells[];
}

export interface Store {
  /** Whose it is; undefined for that of the party. */
  hikerId: string | undefined;
  /** Parallel to the days of the plan. */
  days: PowerDay[];
  legs: PowerLeg[];
}

export interface Power {
  stores: Store[];
}

/** The store that a hiker lives out of; undefined where the hiker has no device. */
export function storeOf({ stores }: Power, hikerId: string): Store | undefined {
  return stores.find((store) => store.hikerId === undefined || store.hikerId === hikerId);
}

const NIGHT_AT_SOCKET_H = 10;
const PASSING_AT_SOCKET_H = 1.5;
/** What a device takes from the wall when it does not say. */
const DEVICE_W = 5;

/** Watt hours a device adds to the store when full. */
export function storeWh(device: Device): number {
  const whole = device.count * bankWh(device.mAh);
  if (device.kind === "bank") return whole * DELIVERED * DEVICE_ACCEPTS;
  return device.kind === "rechargeable" ? whole : 0;
}

export interface PowerInput {
  devices: readonly Device[];
  charge: Plan["charge"];
  hikerIds: readonly string[];
  /** Is this device carried on the leg? */
  carried: (device: Device, legIndex: number) => boolean;
  /** Sets of spare cells on the leg. */
  spareSets: (device: Device, legIndex: number) => number;
  profile: Profile;
  season: Season;
  halts: readonly Halt[];
  parts: readonly DayPart[];
  conditions: readonly PartConditions[];
}

export interface CarriedInput {
  pieces: readonly Pick<Piece, "id" | "quantity">[];
  /** Who carries piece p on leg l at [p · legs + l]; −1 for nobody. */
  carrier: Int8Array;
  legCount: number;
}

/** A device that is a piece of kit works where the piece is carried; one that is none works everywhere. */
export function devicesCarried({ pieces, carrier, legCount }: CarriedInput): Pick<PowerInput, "carried" | "spareSets"> {
  const indexOf = new Map(pieces.map((piece, p) => [piece.id, p]));
  const isOn = (piece: number, legIndex: number): boolean => carrier[piece * legCount + legIndex]! >= 0;
  const pieceOf = (id: string | undefined): number | undefined => (id === undefined ? undefined : indexOf.get(id));
  return {
    carried: ({ pieceId }, legIndex) => {
      const piece = pieceOf(pieceId);
      return piece === undefined || isOn(piece, legIndex);
    },
    spareSets: ({ cellsPieceId, spareSets }, legIndex) => {
      const piece = pieceOf(cellsPieceId);
      if (piece === undefined) return spareSets;
      return isOn(piece, legIndex) ? pieces[piece]!.quantity : 0;
    },
  };
}

/** What is carried on a leg, added up. */
interface Bag {
  capacityWh: number;
  usePerDayWh: number;
  usePerWalkHWh: number;
  panels: SolarPanel[];
  wallW: number;
}

function bagOf(devices: readonly Device[]): Bag {
  const sum = (pick: (device: Device) => number): number => devices.reduce((total, device) => total + pick(device), 0);
  return {
    capacityWh: sum(storeWh),
    usePerDayWh: sum((device) => (device.kind === "rechargeable" ? device.count * device.whPerDay : 0)),
    usePerWalkHWh: sum((device) => (device.kind === "rechargeable" ? device.count * device.whPerWalkH : 0)),
    panels: devices
      .filter(({ kind }) => kind === "solar")
      .map(({ count, watts, place, trees }) => ({ ratedW: count * watts, place, trees })),
    wallW: sum((device) => {
      if (device.kind === "bank") return device.count * (device.watts || 2 * DEVICE_W);
      return device.kind === "rechargeable" ? device.count * (device.watts || DEVICE_W) : 0;
    }),
  };
}

/** Undefined when the plan has no devices. */
export function powerOf(input: PowerInput): Power | undefined {
  const { devices, charge, hikerIds } = input;
  if (devices.length === 0) return undefined;
  if (charge.stores === "shared") return { stores: [storeOver(input, undefined)] };
  const stores = hikerIds.flatMap((hikerId) => {
    const own = devices.filter(({ ownerId }) => ownerId === hikerId);
    return own.length > 0 ? [storeOver({ ...input, devices: own }, hikerId)] : [];
  });
  return { stores };
}

function storeOver(input: PowerInput, hikerId: string | undefined): Store {
  const { devices, charge, carried, spareSets, profile, season, halts, parts, conditions } = input;
  const bags = Array.from({ length: halts.length - 1 }, (_, leg) =>
    bagOf(devices.filter((device) => carried(device, leg))),
  );
  const days: PowerDay[] = [];
  const legs: PowerLeg[] = bags.map(({ capacityWh }) => ({
    capacityWh,
    lowestFraction: 1,
    lowestDay: parts[0]!.day,
    flatDay: undefined,
    shortWh: 0,
    spare: [],
  }));
  const daysOnLeg = legs.map(() => 0);
  let storedWh = bags[0]!.capacityWh;
  for (const [p, part] of parts.entries()) {
    const { meanC } = conditions[p]!;
    const leg = legs[part.legIndex]!;
    const bag = bags[part.legIndex]!;
    const { capacityWh } = bag;
    // A day of two parts is used up by its hours; a rest day in camp is a day more.
    const share = part.night === "none" ? Math.min(1, part.walkH / part.budgetH) : 1 - passedFraction(parts, p);
    const daysHere = share + (part.night === "stop" ? 0 : part.zeroDays);
    daysOnLeg[part.legIndex]! += daysHere;
    const wantedWh = bag.usePerDayWh * daysHere + bag.usePerWalkHWh * part.walkH;
    const { cloud } = skyAt(season, walkedOf(profile, part.startNode), part.day);
    const sunH =
      charge.solar === "daylight" ? 0 : sunHours(profile.latDeg[part.startNode]!, dayOfYear(part.day), cloud);
    const panelWh = (panel: SolarPanel): number =>
      charge.solar === "daylight" ? solarWh(panel.ratedW, part.daylightH, cloud) : radiationWh(panel, sunH);
    const perDayWh = bag.panels.reduce((sum, panel) => sum + panelWh(panel), 0);
    const offeredWh = meanC < LEAST_CHARGING_C ? 0 : perDayWh * DEVICE_ACCEPTS * daysHere;
    // The sun feeds what runs, the store the rest as far as the cold lets it; what the sun has left over charges.
    const directWh = Math.min(offeredWh, wantedWh);
    const cold = coldCapacity(meanC);
    const drawnWh = Math.min(wantedWh - directWh, storedWh * cold);
    const chargedWh = Math.min(offeredWh - directWh, capacityWh - storedWh + drawnWh);
    const sunWh = directWh + chargedWh;
    const usedWh = directWh + drawnWh;
    const shortWh = Math.max(0, wantedWh - directWh - storedWh * cold);
    storedWh += chargedWh - drawnWh;
    const leftWh = storedWh;
    leg.shortWh += shortWh;
    if (shortWh > 0) leg.flatDay ??= part.day;
    const usableFraction = capacityWh > 0 ? (storedWh * cold) / capacityWh : wantedWh > 0 ? 0 : 1;
    if (usableFraction < leg.lowestFraction) {
      leg.lowestFraction = usableFraction;
      leg.lowestDay = part.day;
    }
    let wallWh = 0;
    const halt = part.night === "camp" || part.night === "bed" ? undefined : halts[part.legIndex + 1]!;
    const hours = part.night === "none" ? PASSING_AT_SOCKET_H : NIGHT_AT_SOCKET_H + 24 * part.zeroDays;
    // A bed has a socket.
    if (halt?.hasSocket === true || part.night === "bed")
      wallWh = Math.max(0, Math.min(capacityWh - storedWh, hours * bag.wallW * DEVICE_ACCEPTS));
    if (!halt) storedWh += wallWh;
    else {
      // Batteries that join here come charged; those that leave take their charge along.
      const nextWh = bags[part.legIndex + 1]?.capacityWh ?? capacityWh;
      storedWh = Math.min(nextWh, storedWh + wallWh + Math.max(0, nextWh - capacityWh));
    }
    days.push({
      day: part.day,
      legIndex: part.legIndex,
      usedWh,
      solarWh: sunWh,
      wallWh,
      shortWh,
      leftWh,
      storedWh,
      usableFraction,
    });
  }
  for (const [index, leg] of legs.entries())
    leg.spare = devices.flatMap((device) => {
      if (device.kind !== "spare-cells" || !carried(device, index)) return [];
      const neededSets = Math.max(0, setsFor(daysOnLeg[index]!, device.daysPerSet, device.spareCertainty) - 1);
      const haveSets = spareSets(device, index);
      return neededSets > haveSets ? [{ deviceId: device.id, neededSets, haveSets }] : [];
    });
  return { hikerId, days, legs };
}

/** Share of the day that parts before this one have used already. */
function passedFraction(parts: readonly DayPart[], p: number): number {
  let share = 0;
  for (let q = p - 1; q >= 0 && parts[q]!.day === parts[p]!.day; q--)
    share += Math.min(1, parts[q]!.walkH / parts[q]!.budgetH);
  return Math.min(1, share);
}
