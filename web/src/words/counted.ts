import { fixed } from "../units/quantity.ts";

/** "1 leg", "3 legs". Words whose plural takes more than an s are given it. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${fixed(count, 0)} ${count === 1 ? one : many}`;
}
