/** "1 leg", "3 legs". Words whose plural takes more than an s are given it. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString("en")} ${count === 1 ? one : many}`;
}
