/** What helps on every station: find anything, the list of keys, how the station works. One of them at a time. */
import { create } from "zustand";
import type { StationId } from "../stations/registry.ts";

export type Help = "palette" | "keys" | "how" | "words" | "examples";

/** Something of the plan that a station is to show when it is opened. */
export interface LookedFor {
  station: StationId;
  kind: "stops" | "sources" | "camps" | "stretches" | "kit";
  id: string;
  name: string;
}

interface Helping {
  open: Help | undefined;
  looked: LookedFor | undefined;
}

export const useHelping = create<Helping>(() => ({ open: undefined, looked: undefined }));

export function help(open: Help | undefined): void {
  useHelping.setState({ open });
}

export function lookFor(looked: LookedFor): void {
  useHelping.setState({ looked });
}

/** Asked for once: what this station is to show, if anything. */
export function takeLooked(station: StationId): LookedFor | undefined {
  const { looked } = useHelping.getState();
  if (looked?.station !== station) return undefined;
  useHelping.setState({ looked: undefined });
  return looked;
}
