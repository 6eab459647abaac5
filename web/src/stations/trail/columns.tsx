/** What each kind of place has beside its name and where it lies: columns of the table, edited where they stand. */
import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";
import {
  RULES,
  SERVICES,
  SOURCE_KINDS,
  STRETCH_KINDS,
  SURFACES,
  isWalked,
  walkedAt,
  type Camp,
  type Plan,
  type Profile,
  type Source,
  type Stop,
  type Stretch,
  type TrackM,
} from "@gepack/core";
import { X } from "lucide-react";
import { editRow, setRow } from "../../edit/rows.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { NumberField } from "../../ui/NumberField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import type { Column } from "../../ui/Table.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { MONTHS } from "../../words/months.ts";
import {
  beginM,
  movePlace,
  placeName,
  removePlaces,
  walkedOfPlace,
  type Place,
  type PlaceEnd,
  type PlaceKind,
} from "./places.ts";

const spoken = (text: string): string => text.replaceAll("-", " ");
const choices = <T extends string>(values: readonly T[]) => values.map((value) => [value, spoken(value)] as const);

/** The columns of a kind: the name, where it lies, its own, and a way to remove it. */
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
        <NameField
          bare
          label={`Name of ${place.name}`}
          value={place.name}
          onCommit={(name) => placeName(kind, place.id, name)}
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
          label={kind === "stretches" ? "Begin" : "Place"}
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

interface WhereProps {
  kind: PlaceKind;
  place: Place;
  plan: Plan;
  profile: Profile;
  label: string;
  end: PlaceEnd;
  trackM: TrackM;
}

/** A place's distance in walking order, typed where it stands. */
function Where({ kind, place, plan, profile, label, end, trackM }: WhereProps) {
  const { alternateId } = place;
  if (!isWalked(profile, { trackM, alternateId })) {
    const line = plan.route.alternates.find(({ id }) => id === alternateId)?.name;
    return <span className="text-muted">{line === undefined ? "off the route" : `on ${line}`}</span>;
  }
  return (
    <NumberField
      bare
      className="w-[84px]"
      label={`${label} of ${place.name}`}
      kind="distance"
      value={walkedAt(profile, trackM, alternateId)}
      units={plan.trip.units}
      min={0}
      max={profile.lengthM}
      onCommit={(metres) => movePlace(kind, place.id, place.name, end, profile, metres)}
    />
  );
}

function Check({ label, checked, onChange }: { label: string; checked: boolean; onChange: (on: boolean) => void }) {
  return (
    <input
      type="checkbox"
      aria-label={label}
      checked={checked}
      onChange={(event) => onChange(event.target.checked)}
      onClick={(event) => event.stopPropagation()}
    />
  );
}

function stopColumns(plan: Plan): Column<Stop>[] {
  const { units } = plan.trip;
  return [
    {
      id: "off",
      right: true,
      head: `off trail, ${unitSymbol("distance", units)}`,
      sort: (stop) => stop.offTrailM,
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[64px]"
          path="stops.offTrailM"
          label={`Off trail at ${stop.name}`}
          value={stop.offTrailM}
          units={units}
          onCommit={(offTrailM) => setRow("stops", stop.id, `${stop.name}: off trail`, { offTrailM })}
        />
      ),
    },
    {
      id: "ride",
      right: true,
      head: "ride, min",
      sort: (stop) => (stop.access === "ride" ? stop.rideMin : 0),
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[44px]"
          path="stops.rideMin"
          label={`Minutes of ride to ${stop.name}, 0 for on foot`}
          value={stop.access === "ride" ? stop.rideMin : 0}
          units={units}
          onCommit={(rideMin) =>
            editRow("stops", stop.id, `${stop.name}: ${rideMin > 0 ? "by ride" : "on foot"}`, (target) => {
              target.access = rideMin > 0 ? "ride" : "foot";
              if (rideMin > 0) target.rideMin = rideMin;
            })
          }
        />
      ),
    },
    {
      id: "use",
      head: "use",
      sort: (stop) => (stop.use ? 0 : 1),
      cell: (stop) => (
        <Check
          label={`Use ${stop.name}`}
          checked={stop.use}
          onChange={(use) =>
            editRow("stops", stop.id, `${stop.name}: ${use ? "use it" : "pass it by"}`, (target) => {
              target.use = use;
              if (use && target.nights === 0) target.nights = 1;
            })
          }
        />
      ),
    },
    {
      id: "nights",
      right: true,
      head: "nights",
      sort: (stop) => stop.nights,
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[44px]"
          path="stops.nights"
          label={`Nights at ${stop.name}`}
          value={stop.nights}
          units={units}
          onCommit={(nights) => setRow("stops", stop.id, `${stop.name}: nights`, { nights })}
        />
      ),
    },
    {
      id: "closes",
      right: true,
      head: "closes at, h",
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[52px]"
          path="stops.closesH"
          label={`Closing hour of ${stop.name}, 24 for never`}
          value={stop.closesH ?? 24}
          units={units}
          onCommit={(hour) =>
            setRow("stops", stop.id, `${stop.name}: closing hour`, { closesH: hour >= 24 ? undefined : hour })
          }
        />
      ),
    },
    { id: "offers", head: "offers", cell: (stop) => <Offers stop={stop} /> },
  ];
}

function Offers({ stop }: { stop: Stop }): ReactNode {
  return (
    <span className="text-xs" title={[stop.hours, stop.note].filter(Boolean).join(" ")}>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="text-left text-muted hover:underline" aria-label={`What ${stop.name} offers`}>
          {stop.services.map(spoken).join(", ") || "nothing yet"}
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="menu" align="start">
            {SERVICES.map((service) => (
              <DropdownMenu.CheckboxItem
                key={service}
                className="menu-item data-[state=checked]:font-bold"
                checked={stop.services.includes(service)}
                onSelect={(event) => event.preventDefault()}
                onCheckedChange={(on) =>
                  editRow("stops", stop.id, `${stop.name}: ${on ? "offers" : "no"} ${spoken(service)}`, (target) => {
                    target.services = SERVICES.filter((one) =>
                      one === service ? on === true : target.services.includes(one),
                    );
                  })
                }
              >
                <span className="inline-block w-4">{stop.services.includes(service) ? "✓" : ""}</span>
                {spoken(service)}
              </DropdownMenu.CheckboxItem>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </span>
  );
}

function sourceColumns(plan: Plan): Column<Source>[] {
  const { units } = plan.trip;
  return [
    {
      id: "kind",
      head: "kind",
      sort: (source) => source.kind,
      cell: (source) => (
        <Pick
          bare
          label={`Kind of ${source.name}`}
          value={source.kind}
          options={choices(SOURCE_KINDS)}
          onPick={(kind) => setRow("sources", source.id, `${source.name}: ${kind}`, { kind })}
        />
      ),
    },
    {
      id: "off",
      right: true,
      head: `off trail, ${unitSymbol("distance", units)}`,
      sort: (source) => source.offTrailM,
      cell: (source) => (
        <FieldNumber
          bare
          className="w-[64px]"
          path="sources.offTrailM"
          label={`Off trail at ${source.name}`}
          value={source.offTrailM}
          units={units}
          onCommit={(offTrailM) => setRow("sources", source.id, `${source.name}: off trail`, { offTrailM })}
        />
      ),
    },
    {
      id: "reliable",
      head: "reliable",
      sort: (source) => (source.reliable ? 0 : 1),
      cell: (source) => (
        <Check
          label={`${source.name} is reliable`}
          checked={source.reliable}
          onChange={(reliable) =>
            setRow("sources", source.id, `${source.name}: ${reliable ? "reliable" : "not reliable"}`, {
              reliable,
              chanceByMonth: undefined,
            })
          }
        />
      ),
    },
    {
      id: "counted",
      head: "counted on",
      cell: (source) => (
        <Pick
          bare
          label={`Counted on at ${source.name}`}
          value={source.counted === undefined ? "rule" : source.counted ? "yes" : "no"}
          options={[
            ["rule", "by the rule"],
            ["yes", "yes"],
            ["no", "struck out"],
          ]}
          onPick={(picked) =>
            setRow("sources", source.id, `${source.name}: ${picked === "no" ? "struck out" : "counted on"}`, {
              counted: picked === "rule" ? undefined : picked === "yes",
            })
          }
        />
      ),
    },
  ];
}

function campColumns(): Column<Camp>[] {
  return [
    {
      id: "hollow",
      head: "in a hollow, where cold air pools",
      cell: (camp) => (
        <Check
          label={`${camp.name} lies in a hollow`}
          checked={camp.hollow}
          onChange={(hollow) =>
            setRow("camps", camp.id, `${camp.name}: ${hollow ? "in a hollow" : "in the open"}`, { hollow })
          }
        />
      ),
    },
  ];
}

/** A rule in the words of its name and note. */
const OWN_RULE = "own";

const monthDay = (text: string): string => `${Number(text.slice(3))} ${MONTHS[Number(text.slice(0, 2)) - 1] ?? ""}`;

function stretchColumns(plan: Plan, profile: Profile): Column<Stretch>[] {
  const set = (stretch: Stretch, label: string, fields: Partial<Stretch>): void =>
    setRow("stretches", stretch.id, `${stretch.name}: ${label}`, fields);
  return [
    {
      id: "ends",
      right: true,
      head: `ends, ${unitSymbol("distance", plan.trip.units)}`,
      cell: (stretch) => (
        <Where
          kind="stretches"
          place={stretch}
          plan={plan}
          profile={profile}
          label="End"
          end="toM"
          trackM={stretch.toM}
        />
      ),
    },
    {
      id: "what",
      head: "what",
      sort: (stretch) => stretch.kind,
      cell: (stretch) => (
        <span className="flex gap-1">
          <Pick
            bare
            label={`Kind of ${stretch.name}`}
            value={stretch.kind}
            options={choices(STRETCH_KINDS)}
            onPick={(kind) => set(stretch, kind, { kind })}
          />
          {(stretch.kind === "surface" || stretch.kind === "snow") && (
            <Pick
              bare
              label={`Ground of ${stretch.name}`}
              value={stretch.surface ?? "trail"}
              options={choices(SURFACES)}
              onPick={(surface) => set(stretch, surface, { surface })}
            />
          )}
          {stretch.kind === "rule" && (
            <Pick
              bare
              label={`Rule of ${stretch.name}`}
              value={stretch.rule ?? OWN_RULE}
              options={[...choices(RULES), [OWN_RULE, "own words"]]}
              onPick={(rule) => set(stretch, rule, { rule: rule === OWN_RULE ? undefined : rule })}
            />
          )}
          {stretch.kind === "rule" && stretch.rule === "hard-canister" && (
            <Pick
              bare
              label={`Who keeps the rule of ${stretch.name}`}
              value={stretch.heldBy}
              options={[
                ["carrying", "who carries food"],
                ["sleeping", "who sleeps there"],
              ]}
              onPick={(heldBy) => set(stretch, `for who is ${heldBy}`, { heldBy })}
            />
          )}
        </span>
      ),
    },
    {
      id: "season",
      head: "season",
      cell: (stretch) => (
        <span className="text-xs whitespace-nowrap text-muted" title={stretch.note}>
          {stretch.fromMonthDay && stretch.toMonthDay
            ? `${monthDay(stretch.fromMonthDay)} to ${monthDay(stretch.toMonthDay)}`
            : "all year"}
        </span>
      ),
    },
  ];
}
