/**
 * One table of what is walked on: the effort model's terrain factor and, in its own column, what the
 * surface does to speed.
 *
 * Terrain factors: Soule & Goldman 1972, J Appl Physiol 32:706 (blacktop 1.0, dirt road 1.1, light
 * brush 1.2, heavy brush 1.5, bog 1.8, loose sand 2.1); snow 1.30 + 0.082 per cm of footprint, Pandolf,
 * Haisman & Goldman 1976, Ergonomics 19:683, at 4 cm and 20 cm. Scree and all speed factors are
 * engineering values, and editable through the hiker's own speed factor.
 */
import type { Surface } from "../plan/schema.ts";

export interface SurfaceFactors {
  id: Surface;
  terrainFactor: number;
  speedFactor: number;
}

/** Terrain factor of snow by the depth of the footprint (boot sinkage, not snow depth), cm; 0 to 45, no snowshoes. */
export function snowFactor(footprintCm: number): number {
  return 1.3 + 0.082 * footprintCm;
}

export const SURFACE_FACTORS: readonly SurfaceFactors[] = [
  { id: "trail", terrainFactor: 1.1, speedFactor: 1 },
  { id: "road", terrainFactor: 1.0, speedFactor: 1.05 },
  { id: "light-brush", terrainFactor: 1.2, speedFactor: 0.9 },
  { id: "heavy-brush", terrainFactor: 1.5, speedFactor: 0.65 },
  { id: "scree", terrainFactor: 1.5, speedFactor: 0.7 },
  { id: "bog", terrainFactor: 1.8, speedFactor: 0.7 },
  { id: "sand", terrainFactor: 2.1, speedFactor: 0.75 },
  { id: "firm-snow", terrainFactor: snowFactor(4), speedFactor: 0.8 },
  { id: "soft-snow", terrainFactor: snowFactor(20), speedFactor: 0.5 },
];

/** Index of a surface in the table; `trail` for anything unnamed. */
export function surfaceIndex(surface: Surface | undefined): number {
  const index = SURFACE_FACTORS.findIndex((row) => row.id === surface);
  return index < 0 ? 0 : index;
}

/** Speed factor of every surface in the table's order, your own where given. */
export function speedFactors(own: Partial<Record<Surface, number>>): Float64Array {
  return Float64Array.from(SURFACE_FACTORS, (row) => own[row.id] ?? row.speedFactor);
}
