/** The trail seen from above: shaded by height or by leg, its places, and a list of them beside it. */
import { useEffect, useMemo, useRef, useState } from "react";
import type { Plan, PlanResult, TrackPoints } from "@gepack/core";
import { allTracks } from "../store/trail.ts";
import { report } from "../store/notices.ts";
import { select, useSelection } from "../store/selection.ts";
import { remember, useSettings, type MapShade } from "../store/settings.ts";
import { Pick } from "../ui/Pick.tsx";
import { useThemeName } from "../ui/useThemeName.ts";
import { quantity } from "../units/quantity.ts";
import { BaseMapChoice } from "./BaseMapChoice.tsx";
import { coloursOf } from "./colours.ts";
import { draw, type Drawing } from "./drawing.ts";
import { nodePlaces, placesOn, type PointKind } from "./lines.ts";
import { legendOf, linesOf } from "./look.ts";
import { PlaceList } from "./PlaceList.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  chosen: string | undefined;
  onChoose: (kind: PointKind, id: string) => void;
}

const SHADES: readonly (readonly [MapShade, string])[] = [
  ["height", "height"],
  ["leg", "leg"],
];

export default function TrailMap({ plan, result, chosen, onChoose }: Props) {
  const target = useRef<HTMLDivElement>(null);
  const scale = useRef<HTMLDivElement>(null);
  const [drawing, setDrawing] = useState<Drawing>();
  const theme = useThemeName();
  const shade = useSettings((state) => state.mapShade);
  const legIndex = useSelection((state) => state.legIndex);
  const { profile, legs } = result;
  const nodes = useMemo(() => nodePlaces(profile), [profile]);
  const places = useMemo(() => placesOn(plan, profile, nodes), [plan, profile, nodes]);
  const tracks = useTracks(plan);
  const choose = useRef(onChoose);
  useEffect(() => {
    choose.current = onChoose;
  });
  // A canvas is painted in the theme's colours: another theme is another drawing.
  useEffect(() => {
    if (!target.current || !scale.current) return;
    const made = draw(target.current, scale.current, coloursOf(target.current), ({ place, leg }) => {
      if (place) choose.current(place.kind, place.id);
      else if (leg !== undefined) select({ legIndex: leg });
    });
    setDrawing(made);
    return made.dispose;
  }, [theme]);
  useEffect(() => drawing?.fit(nodes, true), [drawing, nodes]);
  useEffect(
    () => drawing?.setLines(linesOf({ plan, result, nodes, tracks, shade, legIndex })),
    [drawing, plan, result, nodes, tracks, shade, legIndex],
  );
  useEffect(() => drawing?.setPlaces(places, chosen), [drawing, places, chosen]);
  useEffect(() => {
    const place = places.find(({ id }) => id === chosen);
    if (place) drawing?.seek(place.at);
  }, [drawing, places, chosen]);
  const { distance } = plan.trip.units;
  useEffect(() => drawing?.setImperial(distance === "mi"), [drawing, distance]);
  const leg = legs[legIndex];
  return (
    <section aria-label="Map" className="border-b border-rule px-[18px] py-3">
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2 text-sm">
        <span className="flex items-center gap-1.5 whitespace-nowrap">
          Colour by{" "}
          <Pick
            bare
            label="Colour the line by"
            value={shade}
            options={SHADES}
            onPick={(shade) => remember("mapShade", shade)}
          />
        </span>
        <button className="btn" onClick={() => drawing?.fit(nodes)}>
          Whole trail
        </button>
        {leg && (
          <button className="btn" onClick={() => drawing?.fit(nodes.slice(leg.fromNode, leg.toNode + 1))}>
            Leg {legIndex + 1}
          </button>
        )}
        <BaseMapChoice drawing={drawing} target={target} />
      </div>
      <div className="grid grid-cols-1 gap-3 min-[1000px]:grid-cols-[minmax(0,1fr)_300px]">
        <div className="relative h-[440px] overflow-hidden rounded border border-rule bg-paper max-[700px]:h-[320px]">
          <div
            ref={target}
            tabIndex={0}
            role="application"
            aria-label="Map of the trail. Click it, then drag, or use arrow keys to move and plus and minus to zoom. The list below has the same places."
            data-testid="map"
            className="h-full w-full"
          />
          <div className="absolute top-2 left-2 flex flex-col gap-1">
            <Zoom label="Zoom in" text="+" onClick={() => drawing?.zoom(1)} />
            <Zoom label="Zoom out" text="−" onClick={() => drawing?.zoom(-1)} />
          </div>
          <div
            aria-label="North is up"
            role="img"
            className="absolute top-2 right-2 rounded border border-rule bg-sheet px-1.5 text-center text-xs leading-[14px] font-bold"
          >
            ↑<br />N
          </div>
          <div
            ref={scale}
            className="pointer-events-none absolute bottom-2 left-2 rounded bg-sheet/85 px-1.5 py-0.5 text-xs [&_.map-scale-inner]:border [&_.map-scale-inner]:border-t-0 [&_.map-scale-inner]:border-ink [&_.map-scale-inner]:text-center"
          />
        </div>
        <PlaceList plan={plan} result={result} legIndex={legIndex} chosen={chosen} onChoose={onChoose} />
      </div>
      <ul aria-label="Map legend" className="m-0 mt-2 flex list-none flex-wrap gap-x-4 gap-y-1 p-0 text-xs">
        {legendOf(plan, result, shade, (metres) => quantity("height", metres, plan.trip.units)).map(
          ({ colour, text }) => (
            <li key={text} className="flex items-center gap-1.5">
              <span aria-hidden="true" className="inline-block h-[5px] w-[18px]" style={{ background: colour }} />
              {text}
            </li>
          ),
        )}
        <li>■ stop, □ skipped</li>
        <li>● water counted on, ○ other water</li>
        <li>△ camp</li>
      </ul>
    </section>
  );
}

function Zoom({ label, text, onClick }: { label: string; text: string; onClick: () => void }) {
  return (
    <button
      aria-label={label}
      title={label}
      onClick={onClick}
      className="h-7 w-7 rounded border border-rule bg-sheet text-lg leading-none hover:bg-pine-wash"
    >
      {text}
    </button>
  );
}

/** The recorded lines, of what is walked and what is not. */
function useTracks(plan: Plan): readonly TrackPoints[] {
  const [tracks, setTracks] = useState<readonly TrackPoints[]>([]);
  const ids = [...plan.trackIds, ...plan.route.alternates.map(({ trackId }) => trackId)].join(" ");
  useEffect(() => {
    let stale = false;
    allTracks()
      .then((found) => {
        if (!stale) setTracks(found);
      })
      .catch(report);
    return () => {
      stale = true;
    };
  }, [ids]);
  return tracks;
}
