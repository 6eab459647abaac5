/** Colours of the page for a canvas, which knows no style sheet's variables. */

export type Colours = (css: string) => string;

/** Resolves any colour that CSS can say, in the theme that `element` is shown in. */
export function coloursOf(element: HTMLElement): Colours {
  const known = new Map<string, string>();
  return (css) => {
    let colour = known.get(css);
    if (colour === undefined) {
      const probe = document.createElement("span");
      probe.style.color = css;
      probe.style.setProperty("forced-color-adjust", "none");
      // Outside of the page nothing has a colour: a station may be on its way out while it is painted.
      (element.isConnected ? element : document.body).append(probe);
      colour = getComputedStyle(probe).color;
      probe.remove();
      known.set(css, colour);
    }
    return colour;
  };
}

/** From low to high ground: from the colour of the ground in the Line to the ink. */
export function heightColour(band: number, bands: number): string {
  const share = bands < 2 ? 0 : band / (bands - 1);
  // Two straight ramps, so that both halves are distinguished: green ground to golden, golden to dark.
  return share < 0.5
    ? `color-mix(in oklab, var(--pine), var(--food) ${Math.round(200 * share)}%)`
    : `color-mix(in oklab, var(--food), var(--danger) ${Math.round(200 * (share - 0.5))}%)`;
}

export const STRETCH_COLOUR = {
  surface: "var(--kit)",
  snow: "var(--water)",
  rule: "var(--pine)",
  hazard: "var(--danger)",
  insects: "var(--food)",
  dry: "var(--caution)",
  ford: "var(--water)",
  ticks: "var(--food)",
  animals: "var(--danger)",
  "faint-path": "var(--muted)",
} as const;
