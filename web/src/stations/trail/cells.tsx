/** What cells of all place tables have in common: where a place is, a tick, choices in words. */
import { isWalked, walkedAt, type Plan, type Profile, type TrackM } from "@gepack/core";
import { NumberField } from "../../ui/NumberField.tsx";
import { spoken } from "../../words/names.ts";
import { movePlace, type Place, type PlaceEnd, type PlaceKind } from "./places.ts";

export const choices = <T extends string>(values: readonly T[]) =>
  values.map((value) => [value, spoken(value)] as const);

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
export function Where({ kind, place, plan, profile, label, end, trackM }: WhereProps) {
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

export function Check({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (on: boolean) => void;
}) {
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
