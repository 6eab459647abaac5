/** The plane from the worker: made again when the trail or the climate change, never on a drag, and kept for the next visit. */
import { useEffect, useState } from "react";
import { memo, type Plan, type Plane, type Profile } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";

/** More are not distinguished on any screen. */
const COLUMNS = 520;

interface ChartInputs extends Pick<Plan, "climate" | "sources" | "stretches"> {
  profile: Profile;
}

interface Made {
  inputs: ChartInputs;
  coming?: Promise<Plane> | undefined;
  plane?: Plane;
}

const madeOf = memo((inputs: ChartInputs): Made => ({ inputs }));

/** Asked for once; again where it did not come. */
function comingOf(made: Made): Promise<Plane> {
  const { profile, ...plan } = made.inputs;
  made.coming ??= calculator()
    .plane({ plan, profile, columns: Math.min(COLUMNS, profile.cellCount) })
    .then((plane) => (made.plane = plane))
    .catch((error: unknown) => {
      made.coming = undefined;
      throw error;
    });
  return made.coming;
}

export function usePlane({ climate, sources, stretches }: Plan, profile: Profile): Plane | undefined {
  const made = madeOf({ climate, sources, stretches, profile });
  const [shown, setShown] = useState(made.plane);
  useEffect(() => {
    let stale = false;
    comingOf(made)
      .then((plane) => stale || setShown(plane))
      .catch(report);
    return () => {
      stale = true;
    };
  }, [made]);
  return shown;
}
