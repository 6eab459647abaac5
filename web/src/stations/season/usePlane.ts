/** The plane from the worker: made anew when the trail or the climate change, never on a drag. */
import { useEffect, useState } from "react";
import type { Plan, Plane, Profile } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";

/** More are not told apart on any screen. */
const COLUMNS = 520;

export function usePlane({ climate, sources, stretches }: Plan, profile: Profile): Plane | undefined {
  const [made, setMade] = useState<Plane>();
  useEffect(() => {
    let stale = false;
    calculator()
      .plane({ plan: { climate, sources, stretches }, profile, columns: Math.min(COLUMNS, profile.cellCount) })
      .then((plane) => {
        if (!stale) setMade(plane);
      })
      .catch(report);
    return () => {
      stale = true;
    };
  }, [climate, sources, stretches, profile]);
  return made;
}
