/** A number as people write it: either decimal sign, thousands in groups, digits of any script. */

/** Digits of every script as those of this one, all minus signs as one, the Arabic signs as point and comma. */
function plainDigits(text: string): string {
  return text
    .normalize("NFKC")
    .replace(/\p{Nd}/gu, (digit) => String(digitValue(digit.codePointAt(0)!)))
    .replace(/[−–]/g, "-")
    .replaceAll("٫", ".")
    .replaceAll("٬", ",");
}

/** A script's ten digits stand in a row, nought first. */
function digitValue(code: number): number {
  let before = 0;
  while (/\p{Nd}/u.test(String.fromCodePoint(code - before - 1))) before++;
  return before % 10;
}

/** The text ready to be read, its groups of thousands closed up: `12 500` and `12’500` are 12500. */
export function tidyNumbers(text: string): string {
  return plainDigits(text.trim()).replace(/(?<=(?<![\d.,])\d{1,3}(?:[\s'’]\d{3})*)[\s'’](?=\d{3}(?!\d))/g, "");
}

/**
 * What a tidy number may mean, the likelier first: two readings where its only sign may part thousands or
 * decimals (`10,000`, `1.500`), none where it is no number.
 */
export function readNumber(tidy: string): number[] {
  const match = /^([+-]?)(\d[\d.,]*|[.,]\d+)$/.exec(tidy);
  if (!match) return [];
  const body = match[2]!;
  const sign = match[1] === "-" ? -1 : 1;
  const values = unsigned(body);
  return values.map((value) => sign * value);
}

function unsigned(body: string): number[] {
  const signs = body.replace(/\d/g, "");
  const last = signs.at(-1);
  if (last === undefined) return [Number(body)];
  const other = last === "." ? "," : ".";
  const whole = Number(body.replace(/[.,]/g, ""));
  if (signs.length > 1 && signs.includes(other)) {
    const [left, right] = [body.slice(0, body.lastIndexOf(last)), body.slice(body.lastIndexOf(last) + 1)];
    return isGrouped(left, other) ? [Number(`${left.replaceAll(other, "")}.${right}`)] : [];
  }
  if (signs.length > 1) return isGrouped(body, last) ? [whole] : [];
  const decimal = Number(body.replace(",", "."));
  if (!isGrouped(body, last) || body.startsWith("0")) return [decimal];
  return last === "," ? [whole, decimal] : [decimal, whole];
}

function isGrouped(text: string, by: string): boolean {
  const [first, ...groups] = text.split(by);
  return /^\d{1,3}$/.test(first!) && groups.length > 0 && groups.every((group) => /^\d{3}$/.test(group));
}
