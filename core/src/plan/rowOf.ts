/**
 * A row of the document by its id. Lists of thousands are asked thousands of times in one computation, and a list of a
 * document is never changed, only replaced: where each id stood when it was first asked for is remembered with it.
 */

interface Row {
  id: string;
}

const places = new WeakMap<readonly Row[], ReadonlyMap<string, number>>();

export function rowOf<R extends Row>(rows: readonly R[], id: string | undefined): R | undefined {
  if (id === undefined) return undefined;
  let place = places.get(rows);
  if (!place) places.set(rows, (place = new Map(rows.map((row, i) => [row.id, i] as const).reverse())));
  const row = rows[place.get(id) ?? -1];
  // A list that was changed all the same is looked through.
  return row?.id === id ? row : rows.find((one) => one.id === id);
}
