/** Shows what was looked for, at once or when it is looked for while the station is open. */
import { useEffect } from "react";
import { takeLooked, useHelping, type LookedFor } from "../store/helping.ts";
import type { StationId } from "../stations/registry.ts";

export function useLooked(station: StationId, onLooked: (looked: LookedFor) => void): void {
  const looked = useHelping((state) => state.looked);
  useEffect(() => {
    const found = looked && takeLooked(station);
    if (found) onLooked(found);
  }, [looked]);
}
