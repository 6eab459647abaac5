/**
 * One table of what is walked on: the effort model's terrain factor and, in its own column, what the
 * surface does to speed.
 *
 * Terrain factors: Soule & Goldman 1972, J Appl Physiol 32:706 (blacktop 1.0, dirt road 1.1, light
 * brush 1.2, heavy brush 1.5, bog 1.8, loose sand 2.1); snow 1.30 + 0.082 per cm of footprint, Pandolf,
 * Haisman & Goldman 1976, Ergonomics 19:683, to 45 cm. Speed on snow is that of the same effort on the level, so far as
 * one sinks in: 5 cm on a crust, 20 in slush, up to 35 in powder; a part of it on snowshoes or skis [L]. Scree and all
 * other speed factors are engineering values, and editable through the hiker's own speed factor.
 */
import type { OnSnow, Surface } from "../plan/schema.ts";

export interface SurfaceFactors {
  id: Surface;
  terrainFactor: number;
  speedFactor: number;
  /** How far one sinks into snow, cm. */
  sinkCm?: number;
}

/** Terrain factor of snow by the depth of the footprint (boot sinkage, not snow depth), cm; 0 to 45. */
export function snowFactor(footprintCm: number): number {
  return 1.3 + 0.082 * footprintCm;
}

/** 75 kg with 15 kg at 4.5 km/h on firm level ground, W above standing in Pandolf's equation, by kg and (m/s)². */
const REFERENCE = { movingW: 210.9, perSquareW: 1.5 * (75 + 15), kmh: 4.5 } as const;
/** Nobody keeps that effort up for hours where each step goes in deeper. */
const WADING_FROM_CM = 30;
const WADING_SPEED = 0.6;

/** Speed in snow at the effort of 4.5 km/h on firm level ground, km/h: Pandolf's equation solved for the speed. */
export function snowSpeedKmh(footprintCm: number): number {
  return 3.6 * Math.sqrt(REFERENCE.movingW / (snowFactor(footprintCm) * REFERENCE.perSquareW));
}

/** What of the sinking on foot is left on snowshoes and on skis [L]. */
const SINKS: Readonly<Record<OnSnow, number>> = { foot: 1, snowshoes: 0.35, skis: 0.3 };

function snowRow(id: Surface, onFootCm: number, onSnow: OnSnow): SurfaceFactors {
  const sinkCm = SINKS[onSnow] * onFootCm;
  const wading = sinkCm > WADING_FROM_CM ? WADING_SPEED : 1;
  const speedFactor = (wading * snowSpeedKmh(sinkCm)) / REFERENCE.kmh;
  return { id, terrainFactor: snowFactor(sinkCm), speedFactor, sinkCm };
}

const CRUST_CM = 5;
const SLUSH_CM = 20;
/** Powder by how far one sinks in on foot: not deeper than it lies. */
const POWDER_STEP_CM = 5;
const POWDER_MOST_CM = 35;

const BARE: readonly SurfaceFactors[] = [
  { id: "trail", terrainFactor: 1.1, speedFactor: 1 },
  { id: "road", terrainFactor: 1.0, speedFactor: 1.05 },
  { id: "light-brush", terrainFactor: 1.2, speedFactor: 0.9 },
  { id: "heavy-brush", terrainFactor: 1.5, speedFactor: 0.65 },
  { id: "scree", terrainFactor: 1.5, speedFactor: 0.7 },
  { id: "bog", terrainFactor: 1.8, speedFactor: 0.7 },
  { id: "sand", terrainFactor: 2.1, speedFactor: 0.75 },
];

/** Every surface once, as a plan names them. */
export function surfacesBy(onSnow: OnSnow): readonly SurfaceFactors[] {
  return [...BARE, snowRow("firm-snow", CRUST_CM, onSnow), snowRow("soft-snow", SLUSH_CM, onSnow)];
}

const POWDERS = POWDER_MOST_CM / POWDER_STEP_CM;

function tableOf(onSnow: OnSnow): readonly SurfaceFactors[] {
  const powder = Array.from({ length: POWDERS }, (_, i) => snowRow("soft-snow", (i + 1) * POWDER_STEP_CM, onSnow));
  return [...surfacesBy(onSnow), ...powder];
}

/** The rows that cells point to: every surface, then powder by its depth, soft all of it. */
export const SURFACE_ROWS: Readonly<Record<OnSnow, readonly SurfaceFactors[]>> = {
  foot: tableOf("foot"),
  snowshoes: tableOf("snowshoes"),
  skis: tableOf("skis"),
};

export const SURFACE_FACTORS = SURFACE_ROWS.foot;
export const FIRM_SNOW = surfaceIndex("firm-snow");
export const SOFT_SNOW = surfaceIndex("soft-snow");

/** Index of a surface in the table; `trail` for anything unnamed. */
export function surfaceIndex(surface: Surface | undefined): number {
  const index = SURFACE_FACTORS.findIndex((row) => row.id === surface);
  return index < 0 ? 0 : index;
}

/** Index of powder that lies so deep. */
export function powderIndex(depthCm: number): number {
  const step = Math.round(Math.min(depthCm, POWDER_MOST_CM) / POWDER_STEP_CM);
  return SOFT_SNOW + Math.max(1, step);
}

export function isSnow(surface: number): boolean {
  return surface >= FIRM_SNOW;
}

/** Terrain factor η of every row. */
export function terrainFactors(onSnow: OnSnow): Float64Array {
  return Float64Array.from(SURFACE_ROWS[onSnow], (row) => row.terrainFactor);
}

/** How far one sinks in on every row, cm. */
export function sinkings(onSnow: OnSnow): Float64Array {
  return Float64Array.from(SURFACE_ROWS[onSnow], (row) => row.sinkCm ?? 0);
}

/** Speed factor of every row, your own where given; powder as much faster or slower as soft snow is. */
export function speedFactors(own: Partial<Record<Surface, number>>, onSnow: OnSnow): Float64Array {
  const table = SURFACE_ROWS[onSnow];
  return Float64Array.from(table, (row, index) => {
    const told = own[row.id];
    if (told === undefined) return row.speedFactor;
    return index > SOFT_SNOW ? (row.speedFactor * told) / table[SOFT_SNOW]!.speedFactor : told;
  });
}
