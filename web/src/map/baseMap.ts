/** A base map from a file of the hiker's own (PMTiles, vector or raster), read piece by piece; nothing is fetched. */
import { FileSource, PMTiles, TileType } from "pmtiles";
import MVT from "ol/format/MVT.js";
import type BaseLayer from "ol/layer/Base.js";
import TileLayer from "ol/layer/Tile.js";
import VectorTileLayer from "ol/layer/VectorTile.js";
import ImageTile from "ol/source/ImageTile.js";
import VectorTileSource from "ol/source/VectorTile.js";
import Fill from "ol/style/Fill.js";
import Stroke from "ol/style/Stroke.js";
import Style from "ol/style/Style.js";
import type VectorTile from "ol/VectorTile.js";
import type RenderFeature from "ol/render/Feature.js";
import type { Colours } from "./colours.ts";

export interface BaseMap {
  layer: BaseLayer;
  /** Whose the map is, as the file says. */
  attribution: string;
}

const IMAGE_TYPES: Partial<Record<TileType, string>> = {
  [TileType.Png]: "image/png",
  [TileType.Jpeg]: "image/jpeg",
  [TileType.Webp]: "image/webp",
  [TileType.Avif]: "image/avif",
};

/** Throws with a sentence what the file is not. */
export async function openBaseMap(file: File, colours: Colours): Promise<BaseMap> {
  const tiles = new PMTiles(new FileSource(file));
  const header = await tiles.getHeader().catch(() => {
    throw new Error("This isn’t a PMTiles base map. Choose a file ending in .pmtiles.");
  });
  const attribution = await tiles
    .getMetadata()
    .then((metadata) => textOf((metadata as { attribution?: unknown } | undefined)?.attribution))
    .catch(() => "");
  const zooms = { minZoom: header.minZoom, maxZoom: header.maxZoom };
  const type = IMAGE_TYPES[header.tileType];
  if (header.tileType === TileType.Mvt) return { layer: vectorLayer(tiles, zooms, colours), attribution };
  if (type !== undefined) return { layer: rasterLayer(tiles, zooms, type), attribution };
  throw new Error("This base map’s tile format isn’t supported. Use vector tiles (MVT), PNG, JPEG or WebP.");
}

/** Metadata may hold markup; its text alone is shown. */
function textOf(attribution: unknown): string {
  if (typeof attribution !== "string") return "";
  return (new DOMParser().parseFromString(attribution, "text/html").body.textContent ?? "").slice(0, 200);
}

interface Zooms {
  minZoom: number;
  maxZoom: number;
}

function rasterLayer(tiles: PMTiles, zooms: Zooms, type: string): BaseLayer {
  const source = new ImageTile({
    ...zooms,
    // An image of a blob's address would be outside of what the page may load; a bitmap is not.
    loader: async (z, x, y) => {
      const tile = await tiles.getZxy(z, x, y);
      return createImageBitmap(tile ? new Blob([tile.data], { type }) : new ImageData(1, 1));
    },
  });
  return new TileLayer({ source });
}

function vectorLayer(tiles: PMTiles, zooms: Zooms, colours: Colours): BaseLayer {
  const format = new MVT();
  const source = new VectorTileSource({
    ...zooms,
    format,
    url: "{z}/{x}/{y}",
    tileLoadFunction: (loading) => {
      const tile = loading as VectorTile<RenderFeature>;
      tile.setLoader(async (extent, _resolution, projection) => {
        const [z, x, y] = tile.getTileCoord();
        const data = (await tiles.getZxy(z!, x!, y!))?.data;
        const features = data ? format.readFeatures(data, { extent, featureProjection: projection }) : [];
        tile.setFeatures(features);
        return features;
      });
    },
  });
  return new VectorTileLayer({ source, style: quietStyle(colours), declutter: false });
}

/** Quiet under the trail: what each layer is, by the words that such layers are commonly named with. */
function quietStyle(colours: Colours) {
  const line = (css: string, width: number): Style => new Style({ stroke: new Stroke({ color: colours(css), width }) });
  const area = (css: string): Style => new Style({ fill: new Fill({ color: colours(css) }) });
  const water = area("color-mix(in oklab, var(--water) 28%, var(--sheet))");
  const green = area("color-mix(in oklab, var(--ground) 22%, var(--sheet))");
  const built = area("color-mix(in oklab, var(--muted) 16%, var(--sheet))");
  const styles: [RegExp, { area?: Style; line?: Style }][] = [
    [
      /water|ocean|lake|river/i,
      { area: water, line: line("color-mix(in oklab, var(--water) 55%, var(--sheet))", 1.2) },
    ],
    [/land|park|wood|forest|green|nature/i, { area: green }],
    [/build|urban/i, { area: built }],
    [
      /road|transport|street|path|track|rail/i,
      { line: line("color-mix(in oklab, var(--muted) 45%, var(--sheet))", 1) },
    ],
    [/bound|admin|border/i, { line: line("color-mix(in oklab, var(--kit) 50%, var(--sheet))", 0.8) }],
    [/contour|hill|height/i, { line: line("color-mix(in oklab, var(--fuel) 30%, var(--sheet))", 0.7) }],
  ];
  const other = line("color-mix(in oklab, var(--muted) 35%, var(--sheet))", 0.8);
  return (feature: { get: (name: string) => unknown; getGeometry: () => unknown }): Style | undefined => {
    const shape = (feature.getGeometry() as { getType: () => string } | undefined)?.getType() ?? "";
    if (shape.includes("Point")) return undefined;
    const named = styles.find(([word]) => word.test(String(feature.get("layer") ?? "")))?.[1];
    return shape.includes("Polygon") ? named?.area : (named?.line ?? (named ? undefined : other));
  };
}
