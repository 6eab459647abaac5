import { fixed } from "../units/quantity.ts";

/** "1 leg", "3 legs". Words whose plural takes more than an s are given it. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${fixed(count, 0)} ${count === 1 ? one : many}`;
}

/** "leg 9", "legs 9, 10" of legs counted from nought. */
export function legList(indices: readonly number[]): string {
  return `${indices.length === 1 ? "leg" : "legs"} ${indices.map((index) => index + 1).join(", ")}`;
}

/** What is worn in pairs is named in the plural, which takes no article. */
export function withArticle(name: string): string {
  const inside = `${name[0]!.toLowerCase()}${name.slice(1)}`;
  if (/[^s]s$/.test(name)) return inside;
  return `${/^[aeiou]/i.test(name) ? "an" : "a"} ${inside}`;
}
