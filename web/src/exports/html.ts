/** Typed text in a page of HTML: text, whatever it looks like. */
export function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
