/** Numbers asked for in an address, each within its bounds; what is wrong with them is gathered into one answer. */

export interface Query {
  /** Without `otherwise` it has to be there. NaN where it is not as it should be. */
  number: (name: string, low: number, high: number, otherwise?: number) => number;
  /** Sentences, without a full stop. */
  bad: string[];
}

export function queryOf({ searchParams }: URL): Query {
  const bad: string[] = [];
  return {
    bad,
    number: (name, low, high, otherwise) => {
      const text = searchParams.get(name);
      const value = text === null ? otherwise : text.trim() === "" ? NaN : Number(text);
      if (value !== undefined && value >= low && value <= high) return value;
      bad.push(
        `${name} is ${text === null ? "missing" : `“${text.slice(0, 30)}”`}; use a number from ${low} to ${high}`,
      );
      return NaN;
    },
  };
}
