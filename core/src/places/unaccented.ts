/** A text as its words are looked up: bounded, lower case, without accents. */
const MOST_TEXT = 2000;

export function unaccented(text: string): string {
  return text.slice(0, MOST_TEXT).normalize("NFD").replace(/\p{M}/gu, "").toLowerCase().replace(/ß/g, "ss");
}
