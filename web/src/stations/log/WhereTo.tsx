/** Where the day ended: as planned, here again, a place by two letters, a distance, or where the device is. */
import { useEffect, useState } from "react";
import { Crosshair, LocateFixed } from "lucide-react";
import { locate, nodeOf, walkedOf, type LogDay, type PlanResult, type WalkedM } from "@gepack/core";
import { askForPoint } from "../../edit/picking.ts";
import type { Say } from "../../words/say.ts";
import { endAt, endAtPlace, endNear, endWords, type EndFields } from "./endPlace.ts";
import { findPlaces, nearestPlaces, type NamedPlace } from "./today.ts";

interface Props {
  result: PlanResult;
  places: readonly NamedPlace[];
  /** The evening before, and where the day was planned to end. */
  fromM: WalkedM;
  plannedM: WalkedM | undefined;
  say: Say;
  onPlace: (fields: Partial<LogDay>) => void;
  /** What stands in the field, and what it would keep. */
  typed: string;
  onType: (text: string) => void;
  pending: EndFields | { error: string } | undefined;
}

const MOST_FOUND = 6;
const MOST_NEAR = 2;
/** A fix that is further from the trail is asked about by not taking it. */
const MOST_OFF_M = 3000;
const LOCATE_MS = 20_000;

export function WhereTo({ result, places, fromM, plannedM, say, onPlace, typed, onType, pending }: Props) {
  const [notice, setNotice] = useState<string>();
  const { profile } = result;
  useEffect(() => () => askForPoint(undefined), []);
  const found = findPlaces(places, typed, plannedM ?? fromM, MOST_FOUND);
  const near = nearestPlaces(places, plannedM ?? fromM, MOST_NEAR);
  const take = (fields: EndFields): void => {
    onPlace(fields);
    onType("");
    setNotice(undefined);
  };
  const end = (alongM: WalkedM): void => take(endAt(profile, alongM));
  const takeTyped = (): void => {
    if (pending === undefined) return;
    if ("error" in pending) setNotice(pending.error);
    else take(pending);
  };
  const takeFix = (): void => {
    setNotice("Getting your position…");
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        const there = locate(profile, coords.longitude, coords.latitude);
        if (there.offM > MOST_OFF_M)
          return setNotice(
            `You’re ${say.distance(there.offM)} from the trail. Nothing was changed: choose the place by hand.`,
          );
        end(walkedOf(profile, nodeOf(profile, there)));
      },
      ({ message }) => setNotice(`Couldn’t get your position: ${message || "no position"}. Choose the place by hand.`),
      { timeout: LOCATE_MS, enableHighAccuracy: true },
    );
  };
  return (
    <div className="grid gap-1">
      <div className="flex flex-wrap gap-2">
        <input
          className="field min-h-[44px] basis-full text-base"
          aria-label="Where the day ended"
          placeholder="two letters of a place, or a distance"
          value={typed}
          onChange={(event) => {
            onType(event.target.value);
            setNotice(undefined);
          }}
          onKeyDown={(event) => event.key === "Enter" && takeTyped()}
          onBlur={takeTyped}
        />
        {pending && !("error" in pending) && (
          <p className="m-0 basis-full text-sm" data-testid="typed-end">
            {endWords(pending, { profile, places, fromM, say })}
          </p>
        )}
        <button className="btn min-h-[44px]" onClick={() => end(fromM)}>
          Rest day here
        </button>
        {plannedM !== undefined && plannedM > fromM && (
          <button className="btn min-h-[44px]" onClick={() => end(plannedM)}>
            As planned
          </button>
        )}
        <button
          className="btn min-h-[44px]"
          aria-label="Pick on the Line"
          onClick={() => {
            askForPoint({
              words: "Tap the Line where the day ended",
              onPoint: (metres) => take(endNear(profile, places, metres as WalkedM)),
            });
            window.scrollTo({ top: 0 });
          }}
        >
          <Crosshair size={18} aria-hidden="true" />
        </button>
        {"geolocation" in navigator && (
          <button className="btn min-h-[44px]" aria-label="Use my position" onClick={takeFix}>
            <LocateFixed size={18} aria-hidden="true" />
          </button>
        )}
      </div>
      {typed === "" && near.length > 0 && (
        <div role="group" aria-label="Places near the planned end" className="flex flex-wrap gap-1">
          {near.map((place) => (
            <button
              key={`${place.kind} ${place.id}`}
              className="btn min-h-[44px] max-w-full font-normal!"
              onClick={() => take(endAtPlace(profile, place))}
            >
              <span className="truncate" dir="auto">
                {place.name}
              </span>
              <span className="figure text-xs text-muted">{say.distance(place.alongM)}</span>
            </button>
          ))}
        </div>
      )}
      {found.length > 0 && (
        <ul
          aria-label="Places found"
          className="m-0 list-none border border-rule p-0"
          // The field keeps what is typed until one is chosen.
          onMouseDown={(event) => event.preventDefault()}
        >
          {found.map((place) => (
            <li key={`${place.kind} ${place.alongM} ${place.name}`}>
              <button
                className="flex min-h-[44px] w-full items-center gap-2 px-2 text-left hover:bg-pine-wash"
                onClick={() => take(endAtPlace(profile, place))}
              >
                <span className="flex-1" dir="auto">
                  {place.name} <span className="text-xs text-muted">{place.kind}</span>
                </span>
                <span className="figure text-muted">{say.distance(place.alongM)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {notice !== undefined && (
        <p role="status" className="m-0 text-sm text-caution">
          {notice}
        </p>
      )}
    </div>
  );
}
