/** A value that keeps its old object while its content is equal, so that what is drawn from it rests. */
import { useState } from "react";
import { keepEqual } from "@gepack/core";

export function useKept<T>(value: T): T {
  const [known, setKnown] = useState(value);
  const kept = keepEqual(known, value);
  if (kept !== known) setKnown(kept);
  return kept;
}
