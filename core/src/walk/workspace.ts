/**
 * Working arrays that are used again, round after round: a settling plan would otherwise allocate some
 * ten megabytes for every edit. What they hold is whatever was left in them: fill every element.
 */
export class Workspace {
  /** Hours on every cell as if all were plain trail in the cool of the day: the slowest hiker's. */
  readonly plainH: Float64Array;
  /** Hours, air temperature at that hour, and surface on every cell. */
  readonly cellH: Float64Array;
  readonly cellC: Float64Array;
  readonly surface: Uint8Array;
  /** Power on every cell of the day at hand. */
  readonly powerW: Float64Array;
  readonly hikers: readonly HikerWorkspace[];

  constructor(cellCount: number, hikerCount: number) {
    this.plainH = new Float64Array(cellCount);
    this.cellH = new Float64Array(cellCount);
    this.cellC = new Float64Array(cellCount);
    this.surface = new Uint8Array(cellCount);
    this.powerW = new Float64Array(cellCount);
    this.hikers = Array.from({ length: hikerCount }, () => ({
      guessKg: new Float64Array(cellCount),
      packs: [packArrays(cellCount), packArrays(cellCount)],
      drinkL: new Float64Array(cellCount + 1),
    }));
  }
}

export interface HikerWorkspace {
  guessKg: Float64Array;
  /** Two sets in turn: a round's answer must not overwrite what it was made from. */
  packs: readonly [PackArrays, PackArrays];
  /** Litres drunk from the block's start to each node. */
  drinkL: Float64Array;
}

/** The pack on every cell, kilograms, and what of it is food with its wrappers, and water. */
export interface PackArrays {
  loadKg: Float64Array;
  foodKg: Float64Array;
  waterKg: Float64Array;
}

export function packArrays(cellCount: number): PackArrays {
  return {
    loadKg: new Float64Array(cellCount),
    foodKg: new Float64Array(cellCount),
    waterKg: new Float64Array(cellCount),
  };
}
