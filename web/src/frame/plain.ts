/** Without accents, as it is typed in a hurry. */
export const plain = (text: string): string => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();
