/** What each kind of place has beside its name and where it is: columns of the table, edited where they stand. */
import { X } from "lucide-react";
import type { Plan, Profile } from "@gepack/core";
import { TURNED, TURNED_WORDS, turnPlace } from "../../edit/turnPlace.ts";
import { NameField } from "../../ui/NameField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import type { Column } from "../../ui/Table.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { Where } from "./cells.tsx";
import { beginM, placeName, removePlaces, walkedOfPlace, type Place, type PlaceKind } from "./places.ts";
import { campColumns, sourceColumns } from "./sourceColumns.tsx";
import { stopColumns } from "./stopColumns.tsx";
import { stretchColumns } from "./stretchColumns.tsx";

/** The columns of a kind: the name, where it is, its own, and a way to remove it. */
export function placeColumns(kind: PlaceKind, plan: Plan, profile: Profile): Column<Place>[] {
  const along = unitSymbol("distance", plan.trip.units);
  const own = {
    stops: stopColumns(plan),
    sources: sourceColumns(plan),
    camps: campColumns(),
    stretches: stretchColumns(plan, profile),
  }[kind] as Column<Place>[];
  return [
    {
      id: "name",
      head: "Name",
      names: true,
      sort: (place) => place.name.toLowerCase(),
      cell: (place) => (
        <>
          <NameField
            bare
            label={`Name of ${place.name}`}
            value={place.name}
            onCommit={(name) => placeName(kind, place.id, name)}
          />
          {place.note && <span className="block max-w-[46ch] text-xs font-normal text-muted">{place.note}</span>}
        </>
      ),
    },
    {
      id: "is",
      head: "is a",
      cell: (place) => (
        <Pick
          bare
          label={`${place.name} is a`}
          value={kind}
          options={TURNED.map(
            (one) => [one, one === "stretches" && kind === "stretches" ? "stretch" : TURNED_WORDS[one]] as const,
          )}
          onPick={(to) => to !== kind && void turnPlace(kind, place.id, place.name, to)}
        />
      ),
    },
    {
      id: "at",
      right: true,
      head: `${kind === "stretches" ? "begins" : "at"}, ${along}`,
      sort: (place) => walkedOfPlace(profile, place),
      cell: (place) => (
        <Where
          {...{ kind, place, plan, profile }}
          label={kind === "stretches" ? "Start" : "Place"}
          end={kind === "stretches" ? "fromM" : "trackM"}
          trackM={beginM(place)}
        />
      ),
    },
    ...own,
    {
      id: "remove",
      head: <span className="sr-only">Remove</span>,
      right: true,
      cell: (place) => (
        <button
          className="p-1 text-muted hover:text-danger"
          aria-label={`Remove ${place.name}`}
          title={`Remove ${place.name}`}
          onClick={(event) => {
            event.stopPropagation();
            removePlaces(kind, [place]);
          }}
        >
          <X size={15} aria-hidden="true" />
        </button>
      ),
    },
  ];
}
