/**
 * Stages remembered by their arguments: an answer is kept while every argument is the one it was made
 * from. A stage sees nothing but its arguments, so that no dependency can be forgotten; and what is equal
 * keeps its old object, so that equal arguments are the same argument.
 */

/** The last answer for the last arguments; lists are compared by what is in them, all else by identity. */
export function memo<Input extends object, Output>(stage: (input: Input) => Output): (input: Input) => Output {
  let last: Input | undefined;
  let answer: Output;
  return (input) => {
    if (last === undefined || !sameArguments(last, input)) {
      answer = stage(input);
      last = input;
    }
    return answer;
  };
}

/** As `memo`, for plain data: an answer equal to the one before is that one, so that the next stage rests too. */
export function memoEqual<Input extends object, Output>(stage: (input: Input) => Output): (input: Input) => Output {
  let before: Output | undefined;
  return memo((input: Input) => {
    before = before === undefined ? stage(input) : keepEqual(before, stage(input));
    return before;
  });
}

/** A memo for each index of a list: hikers, blocks. */
export function memoEach<Input extends object, Output>(
  stage: (input: Input) => Output,
  make: typeof memo = memo,
): (input: Input, index: number) => Output {
  const known: ((input: Input) => Output)[] = [];
  return (input, index) => (known[index] ??= make(stage))(input);
}

function sameArguments<Input extends object>(a: Input, b: Input): boolean {
  const keys = Object.keys(a) as (keyof Input)[];
  if (keys.length !== Object.keys(b).length) return false;
  return keys.every((key) => sameArgument(a[key], b[key]));
}

function sameArgument(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return false;
  return a.every((item, i) => Object.is(item, b[i]));
}

/**
 * `next`, with every part of it that equals the part of `before` replaced by that old part; `before` itself
 * when all is equal. Plain data only: anything but arrays and plain objects is compared by identity.
 */
export function keepEqual<T>(before: T, next: T): T {
  return kept(before, next) as T;
}

function kept(before: unknown, next: unknown): unknown {
  if (Object.is(before, next)) return before;
  if (Array.isArray(before) && Array.isArray(next)) {
    let same = before.length === next.length;
    const merged = next.map((item, i) => {
      const part = kept(before[i], item);
      if (!Object.is(part, before[i])) same = false;
      return part;
    });
    return same ? before : merged;
  }
  if (isPlain(before) && isPlain(next)) {
    const keys = Object.keys(next);
    let same = keys.length === Object.keys(before).length;
    const merged: Record<string, unknown> = {};
    for (const key of keys) {
      const part = kept(before[key], next[key]);
      if (!Object.is(part, before[key]) || (part === undefined && !(key in before))) same = false;
      merged[key] = part;
    }
    return same ? before : merged;
  }
  return next;
}

function isPlain(value: unknown): value is Record<string, unknown> {
  if (typeof value !== "object" || value === null) return false;
  const prototype: unknown = Object.getPrototypeOf(value);
  return prototype === Object.prototype || prototype === null;
}
