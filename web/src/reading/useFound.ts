/** The places of files and tables along a trail, sorted by their words; changed by hand until they are taken. */
import { useEffect, useState } from "react";
import type { Located, SortedKind, TrackM, TrackPoints } from "@gepack/core";
import { calculator } from "../store/trail.ts";
import { report } from "../store/notices.ts";
import { useSettings } from "../store/settings.ts";
import { rowsOf, type FoundPoint, type FoundRow } from "./found.ts";
import type { Previewed } from "./useTrackFile.ts";

interface Found {
  /** Undefined while they are being placed. */
  rows: FoundRow[] | undefined;
  setRows: (rows: FoundRow[]) => void;
}

/** `onto` are the tracks that the places are on, where they are not the file's own. */
export function useFound({ preview, table }: Previewed, onto?: () => Promise<TrackPoints[]>): Found {
  const [rows, setRows] = useState<FoundRow[]>();
  const ownWords = useSettings((state) => state.ownWords);
  const { track, waypoints, parts } = preview;
  const found = table?.found;
  const isCoarse = parts.length === 0 && onto === undefined;
  useEffect(() => {
    let stale = false;
    const place = async (): Promise<void> => {
      const firstM = isCoarse ? (found?.rows[0]?.alongM ?? 0) : 0;
      const tabled = (found?.rows ?? []).map(({ name, kind, note, lonDeg, latDeg }): FoundPoint => ({
        name,
        type: kind,
        description: note,
        symbol: "",
        // On a trail that is nowhere neither do its places.
        ...(isCoarse ? {} : { lonDeg, latDeg }),
      }));
      const points: FoundPoint[] = [...waypoints, ...tabled];
      const sorted: SortedKind[][] = await calculator().sortPlaces({ places: points, own: ownWords });
      const placed = points.flatMap((point, i) =>
        point.lonDeg === undefined || point.latDeg === undefined
          ? []
          : [{ i, lonDeg: point.lonDeg, latDeg: point.latDeg }],
      );
      const tracks = onto ? await onto() : [track];
      const at = placed.length > 0 ? await calculator().locateOn({ tracks, places: placed }) : [];
      const byPlace = new Map(placed.map(({ i }, k) => [i, at[k]!]));
      const located = points.map((_, i): Located => {
        const row = found?.rows[i - waypoints.length];
        return byPlace.get(i) ?? { trackM: ((row?.alongM ?? 0) - firstM) as TrackM, offM: row?.offTrailM ?? 0 };
      });
      if (!stale) setRows(rowsOf(points, sorted, located));
    };
    place().catch(report);
    return () => {
      stale = true;
    };
    // Which tracks they are on is needed again with every file.
  }, [track, waypoints, found, isCoarse, ownWords]);
  return { rows, setRows };
}
