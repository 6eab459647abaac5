/**
 * Working arrays that are used again, round after round: a settling plan would otherwise allocate some
 * ten megabytes for every edit. What comes out holds whatever was left in it: fill every element.
 */
export class Scratch {
  private readonly arrays = new Map<string, Float64Array>();
  private readonly bytes = new Map<string, Uint8Array>();

  float64(name: string, length: number): Float64Array {
    let array = this.arrays.get(name);
    if (array?.length !== length) {
      array = new Float64Array(length);
      this.arrays.set(name, array);
    }
    return array;
  }

  uint8(name: string, length: number): Uint8Array {
    let array = this.bytes.get(name);
    if (array?.length !== length) {
      array = new Uint8Array(length);
      this.bytes.set(name, array);
    }
    return array;
  }
}
