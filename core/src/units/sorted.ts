/** Index of the first of `count` ascending values that is above a limit; `count` where none does. */
export function indexAbove(count: number, at: (index: number) => number, limit: number): number {
  let low = 0;
  let high = count;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (at(middle) <= limit) low = middle + 1;
    else high = middle;
  }
  return low;
}
