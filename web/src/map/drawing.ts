/** The drawing of the map: the trail, other ways, stretches and places, on a base map when there is one. */
import Feature from "ol/Feature.js";
import type { FeatureLike } from "ol/Feature.js";
import OlMap from "ol/Map.js";
import View from "ol/View.js";
import ScaleLine from "ol/control/ScaleLine.js";
import { boundingExtent, type Extent } from "ol/extent.js";
import LineString from "ol/geom/LineString.js";
import Point from "ol/geom/Point.js";
import { defaults } from "ol/interaction/defaults.js";
import type BaseLayer from "ol/layer/Base.js";
import VectorLayer from "ol/layer/Vector.js";
import { fromLonLat } from "ol/proj.js";
import VectorSource from "ol/source/Vector.js";
import CircleStyle from "ol/style/Circle.js";
import Fill from "ol/style/Fill.js";
import RegularShape from "ol/style/RegularShape.js";
import Stroke from "ol/style/Stroke.js";
import Style from "ol/style/Style.js";
import Text from "ol/style/Text.js";
import type { Colours } from "./colours.ts";
import type { LonLat, MapPlace } from "./lines.ts";

/** A line of one colour, as CSS says it. */
export interface DrawnLine {
  points: readonly LonLat[];
  colour: string;
  widthPx: number;
  dashed?: boolean;
  /** A leg's index, to be selected with a click. */
  leg?: number;
}

export interface Hit {
  place?: MapPlace;
  leg?: number;
}

export interface Drawing {
  setLines: (lines: readonly DrawnLine[]) => void;
  setPlaces: (places: readonly MapPlace[], chosen: string | undefined) => void;
  setBase: (layer: BaseLayer | undefined) => void;
  setImperial: (imperial: boolean) => void;
  /** Shows all of a run of places. */
  fit: (points: readonly LonLat[], atOnce?: boolean) => void;
  /** Brings a place into sight when it is out of it. */
  seek: (at: LonLat) => void;
  zoom: (by: number) => void;
  dispose: () => void;
}

const NEAR_PX = 6;
const EASE_MS = 250;

export function draw(
  target: HTMLElement,
  scaleTarget: HTMLElement,
  colours: Colours,
  onHit: (hit: Hit) => void,
): Drawing {
  const lines = new VectorSource();
  const places = new VectorSource();
  const scale = new ScaleLine({ target: scaleTarget, minWidth: 80, className: "map-scale" });
  const map = new OlMap({
    target,
    controls: [scale],
    // The wheel goes on scrolling the page until the map was clicked; north stays up.
    interactions: defaults({ onFocusOnly: true, altShiftDragRotate: false, pinchRotate: false }),
    view: new View({ center: [0, 0], zoom: 2, maxZoom: 19, enableRotation: false, multiWorld: true }),
    layers: [
      new VectorLayer({ source: lines, style: (feature) => lineStyle(feature, colours) }),
      new VectorLayer({ source: places, style: (feature) => placeStyle(feature, colours), declutter: true }),
    ],
  });
  let base: BaseLayer | undefined;
  map.on("singleclick", ({ pixel }) => {
    const hit = map.forEachFeatureAtPixel(pixel, (feature) => hitOf(feature), { hitTolerance: NEAR_PX });
    if (hit) onHit(hit);
  });
  map.on("pointermove", ({ pixel, dragging }) => {
    if (dragging) return;
    const over = map.forEachFeatureAtPixel(pixel, (feature) => hitOf(feature), { hitTolerance: NEAR_PX });
    target.style.cursor = over ? "pointer" : "";
    target.title = over?.place?.name ?? (over?.leg === undefined ? "" : `Leg ${over.leg + 1}`);
  });
  return {
    setLines: (drawn) => {
      lines.clear();
      lines.addFeatures(
        drawn.map(({ points, ...look }) => new Feature({ ...look, geometry: new LineString(points.map(onPlane)) })),
      );
    },
    setPlaces: (drawn, chosen) => {
      places.clear();
      places.addFeatures(
        drawn.map(
          (place) => new Feature({ place, chosen: place.id === chosen, geometry: new Point(onPlane(place.at)) }),
        ),
      );
    },
    setBase: (layer) => {
      if (base) map.removeLayer(base);
      base = layer;
      if (layer) map.getLayers().insertAt(0, layer);
    },
    setImperial: (imperial) => scale.setUnits(imperial ? "us" : "metric"),
    fit: (points, atOnce = false) =>
      map.getView().fit(extentOf(points), { padding: [30, 40, 30, 40], maxZoom: 15, duration: atOnce ? 0 : EASE_MS }),
    seek: (at) => {
      const [x, y] = onPlane(at);
      const [left, bottom, right, top] = map.getView().calculateExtent(map.getSize()) as [
        number,
        number,
        number,
        number,
      ];
      if (x! < left || x! > right || y! < bottom || y! > top)
        map.getView().animate({ center: [x!, y!], duration: EASE_MS });
    },
    zoom: (by) => map.getView().animate({ zoom: (map.getView().getZoom() ?? 2) + by, duration: EASE_MS }),
    dispose: () => map.setTarget(undefined),
  };
}

/** Longitudes may go on beyond ±180°: they are not folded back. */
function onPlane([lonDeg, latDeg]: LonLat): number[] {
  const [x, y] = fromLonLat([0, Math.max(-85, Math.min(85, latDeg))]);
  return [x! + (lonDeg / 180) * HALF_WORLD_M, y!];
}
/** Half of the earth's girth on the plane of EPSG:3857. */
const HALF_WORLD_M = fromLonLat([180, 0])[0]!;

function extentOf(points: readonly LonLat[]): Extent {
  return boundingExtent(points.map(onPlane));
}

function hitOf(feature: FeatureLike): Hit | undefined {
  const place = feature.get("place") as MapPlace | undefined;
  if (place) return { place };
  const leg = feature.get("leg") as number | undefined;
  return leg === undefined ? undefined : { leg };
}

function lineStyle(feature: FeatureLike, colours: Colours): Style {
  const { colour, widthPx, dashed } = feature.getProperties() as DrawnLine;
  return new Style({
    stroke: new Stroke({
      color: colours(colour),
      width: widthPx,
      lineCap: dashed ? "butt" : "round",
      ...(dashed ? { lineDash: [6, 5] } : {}),
    }),
  });
}

/** Stops are squares, water dots, camps triangles: as in the lanes full when they count, hollow when not. */
function placeStyle(feature: FeatureLike, colours: Colours): Style {
  const { place, chosen } = feature.getProperties() as { place: MapPlace; chosen: boolean };
  const sheet = colours("var(--sheet)");
  const ink = colours("var(--ink)");
  const colour = colours({ stops: "var(--pine)", sources: "var(--water)", camps: "var(--ink)" }[place.kind]);
  const fill = new Fill({ color: place.faint || place.kind === "camps" ? sheet : colour });
  const stroke = new Stroke({ color: chosen ? ink : colour, width: chosen ? 3 : 1.8 });
  const image = {
    stops: () => new RegularShape({ points: 4, radius: chosen ? 9 : 7.5, angle: Math.PI / 4, fill, stroke }),
    sources: () => new CircleStyle({ radius: chosen ? 6 : 4, fill, stroke }),
    camps: () => new RegularShape({ points: 3, radius: chosen ? 9 : 6.5, fill, stroke }),
  }[place.kind]();
  // What finds no room gives way: stops that are used, then what counts, stand before the rest.
  const rank = chosen ? 4 : (place.faint ? 0 : 1) + (place.kind === "stops" && !place.faint ? 2 : 0);
  const named = chosen || (place.kind === "stops" && !place.faint);
  const text = named
    ? new Text({
        text: place.name,
        font: `${chosen ? "bold " : ""}13px "Atkinson Hyperlegible Next Variable", system-ui, sans-serif`,
        offsetY: -15,
        fill: new Fill({ color: ink }),
        stroke: new Stroke({ color: sheet, width: 3 }),
      })
    : undefined;
  return new Style({ image, zIndex: rank, ...(text ? { text } : {}) });
}
