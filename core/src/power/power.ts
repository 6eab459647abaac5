/**
 * Electricity of the party, day by day, in watt hours as they reach the devices. Devices' own batteries
 * and the banks are one store: use, less what the sun gives, filled again wherever a stop has a socket.
 * Cold takes from what can be drawn, and gives it back on warming; below freezing nothing is charged.
 */
import { bankWh, coldCapacity, DELIVERED, DEVICE_ACCEPTS, LEAST_CHARGING_C, solarWh } from "../models/battery.ts";
import type { Device, Plan } from "../plan/schema.ts";
import { skyAt, type Season } from "../season/season.ts";
import type { Profile } from "../track/profile.ts";
import { monthOfDay } from "../units/day.ts";
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
  /** At the end of the day, after the socket where there is one. */
  storedWh: number;
  /** Of that, what the cold lets out, as a share of the whole store. */
  usableShare: number;
}

export interface SpareCells {
  deviceId: string;
  neededSets: number;
  haveSets: number;
}

export interface PowerLeg {
  /** Least that could be drawn on the leg before its last stop, as a share of the store. */
  lowestShare: number;
  lowestDay: number;
  shortWh: number;
  /** Devices on spare cells that need more sets than are carried. */
  spare: SpareCells[];
}

export interface Power {
  capacityWh: number;
  usePerDayWh: number;
  days: PowerDay[];
  legs: PowerLeg[];
}

const NIGHT_AT_SOCKET_H = 10;
const PASSING_AT_SOCKET_H = 1;
/** What a device takes from the wall when it does not say. */
const DEVICE_W = 5;

/** Watt hours a device adds to the store when full. */
export function storeWh(device: Device): number {
  const whole = device.count * bankWh(device.mAh);
  if (device.kind === "bank") return whole * DELIVERED * DEVICE_ACCEPTS;
  return device.kind === "rechargeable" ? whole : 0;
}

export interface PowerInput {
  plan: Plan;
  profile: Profile;
  season: Season;
  halts: readonly Halt[];
  parts: readonly DayPart[];
  conditions: readonly PartConditions[];
}

/** Undefined when the plan has no devices. */
export function powerOf({ plan, profile, season, halts, parts, conditions }: PowerInput): Power | undefined {
  const { devices } = plan;
  if (devices.length === 0) return undefined;
  const sum = (pick: (device: Device) => number): number => devices.reduce((total, device) => total + pick(device), 0);
  const capacityWh = sum(storeWh);
  const usePerDayWh = sum((device) => (device.kind === "rechargeable" ? device.count * device.whPerDay : 0));
  const panelW = sum((device) => (device.kind === "solar" ? device.count * device.watts : 0));
  const wallW = sum((device) => {
    if (device.kind === "bank") return device.count * (device.watts || 2 * DEVICE_W);
    return device.kind === "rechargeable" ? device.count * (device.watts || DEVICE_W) : 0;
  });
  const spares = devices.filter((device) => device.kind === "spare-cells");
  const days: PowerDay[] = [];
  const legs: PowerLeg[] = Array.from({ length: halts.length - 1 }, () => ({
    lowestShare: 1,
    lowestDay: parts[0]!.day,
    shortWh: 0,
    spare: [],
  }));
  const daysOnLeg = legs.map(() => 0);
  let storedWh = capacityWh;
  for (const [p, part] of parts.entries()) {
    const { meanC } = conditions[p]!;
    const leg = legs[part.legIndex]!;
    // A day of two parts is used up by its hours; a rest day in camp is a day more.
    const wholeDay = part.night !== "none";
    const share = wholeDay ? 1 - passedShare(parts, p) : Math.min(1, part.walkH / part.budgetH);
    const inCamp = part.night === "camp" ? part.zeroDays : 0;
    const wantedWh = usePerDayWh * (share + inCamp);
    daysOnLeg[part.legIndex]! += share + inCamp;
    const sky = skyAt(season, part.startNode * profile.cellM, monthOfDay(part.day));
    const sunWh =
      meanC < LEAST_CHARGING_C || panelW === 0
        ? 0
        : solarWh(panelW, part.daylightH, sky.cloud) * DEVICE_ACCEPTS * (share + inCamp);
    const cold = coldCapacity(Math.max(meanC, -40));
    const before = Math.min(capacityWh, storedWh + sunWh);
    const usableWh = before * cold;
    const usedWh = Math.min(wantedWh, usableWh);
    const shortWh = Math.max(0, wantedWh - usableWh);
    storedWh = before - usedWh;
    leg.shortWh += shortWh;
    const usableShare = capacityWh > 0 ? (storedWh * cold) / capacityWh : wantedWh > 0 ? 0 : 1;
    if (usableShare < leg.lowestShare) {
      leg.lowestShare = usableShare;
      leg.lowestDay = part.day;
    }
    const stop = part.endNode === halts[part.legIndex + 1]!.node ? halts[part.legIndex + 1]!.stop : undefined;
    let wallWh = 0;
    if (stop?.services.includes("socket") && part.night !== "camp") {
      const hours = part.night === "stop" ? NIGHT_AT_SOCKET_H + 24 * part.zeroDays : PASSING_AT_SOCKET_H;
      wallWh = Math.min(capacityWh - storedWh, hours * wallW * DEVICE_ACCEPTS);
      storedWh += wallWh;
    }
    days.push({
      day: part.day,
      legIndex: part.legIndex,
      usedWh,
      solarWh: sunWh,
      wallWh,
      shortWh,
      storedWh,
      usableShare,
    });
  }
  for (const [index, leg] of legs.entries())
    leg.spare = spares.flatMap((device) => {
      const neededSets = Math.max(0, Math.ceil(daysOnLeg[index]! / device.daysPerSet) - 1);
      return neededSets > device.spareSets ? [{ deviceId: device.id, neededSets, haveSets: device.spareSets }] : [];
    });
  return { capacityWh, usePerDayWh, days, legs };
}

/** Share of the day that parts before this one have used already. */
function passedShare(parts: readonly DayPart[], p: number): number {
  let share = 0;
  for (let q = p - 1; q >= 0 && parts[q]!.day === parts[p]!.day; q--)
    share += Math.min(1, parts[q]!.walkH / parts[q]!.budgetH);
  return Math.min(1, share);
}
