/** What a leg has to bring for the legs after it, where the stops between sell none. */

/** `sold[i]` tells of the stop that leg i leaves; amounts and answers are by leg, in one unit. */
export function forLater(amounts: readonly number[], sold: readonly boolean[]): number[] {
  const later = amounts.map(() => 0);
  for (let leg = amounts.length - 2; leg >= 0; leg--)
    if (!sold[leg + 1]) later[leg] = amounts[leg + 1]! + later[leg + 1]!;
  return later;
}
