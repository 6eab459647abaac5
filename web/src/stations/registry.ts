/**
 * The stations, in the order of the work: the one list that navigation, pages, checks, tests and pictures
 * read. A new station is a row here and a folder of its name beside this file, with its screen in `index.tsx`.
 */
export interface Station {
  id: string;
  name: string;
  href: string;
  /** Stations of one group stand together; a hairline parts the groups. The gear stands at the end, alone. */
  group: "ground" | "walk" | "supply" | "pack" | "record" | "gear";
  /** Parts of a station, each with an address of its own: `?part=`. */
  parts?: readonly { id: string; name: string }[];
}

export const STATIONS = [
  { id: "trail", name: "Trail", href: "/trail/", group: "ground" },
  { id: "season", name: "Season", href: "/season/", group: "ground" },
  { id: "days", name: "Days", href: "/days/", group: "walk" },
  { id: "stops", name: "Stops", href: "/stops/", group: "walk" },
  { id: "food", name: "Food", href: "/food/", group: "supply" },
  { id: "water", name: "Water", href: "/water/", group: "supply" },
  { id: "power", name: "Fuel & power", href: "/power/", group: "supply" },
  { id: "kit", name: "Kit", href: "/kit/", group: "pack" },
  { id: "legs", name: "Legs", href: "/", group: "pack" },
  { id: "boxes", name: "Boxes", href: "/boxes/", group: "pack" },
  { id: "log", name: "Log", href: "/log/", group: "record" },
  {
    id: "trip",
    name: "Setup",
    href: "/trip/",
    group: "gear",
    parts: [
      { id: "trip", name: "Trip and people" },
      { id: "models", name: "Models" },
      { id: "units", name: "Units" },
      { id: "need", name: "Energy need" },
    ],
  },
] as const satisfies readonly Station[];

export type StationId = (typeof STATIONS)[number]["id"];

export function stationOf(id: StationId): Station {
  return STATIONS.find((station) => station.id === id)!;
}

/** Every address of the application: each station, and each part of one that has parts. */
export const ADDRESSES: readonly { name: string; path: string }[] = (STATIONS as readonly Station[]).flatMap(
  ({ id, href, parts }) =>
    parts ? parts.map((part) => ({ name: part.id, path: `${href}?part=${part.id}` })) : [{ name: id, path: href }],
);
