/**
 * Lists to start with for whoever has nothing yet: generic pieces with masses as they usually are (judgement [L]), each to
 * be weighed. A style, with or without a flame, on the ground or hung.
 */
import type { Piece } from "../plan/schema.ts";

export const KIT_STYLES = ["light", "usual", "cold"] as const;
export type KitStyle = (typeof KIT_STYLES)[number];

export interface StarterChoice {
  style: KitStyle;
  stove: boolean;
  hung: boolean;
}

type Row = Pick<Piece, "name" | "group" | "massG"> & Partial<Piece>;

export function starterRows({ style, stove, hung }: StarterChoice): Row[] {
  const by = <T>(light: T, usual: T, cold: T): T => ({ light, usual, cold })[style];
  const sleep: Row[] = hung
    ? [
        { name: "Hammock with straps", group: "Shelter", massG: by(480, 690, 690), volumeL: 2 },
        { name: "Tarp, hung", group: "Shelter", massG: by(310, 480, 560), volumeL: 1.5, role: "shelter" },
        { name: "Underquilt", group: "Sleep", massG: by(380, 560, 740), volumeL: 5, role: "pad", padR: by(3, 4, 5.5) },
      ]
    : [
        { name: by("Tarp with net", "Tent, one person", "Tent, four seasons"), group: "Shelter", massG: by(620, 1150, 1750), volumeL: by(3, 4, 6), role: "shelter" },
        { name: by("Foam pad", "Inflatable pad", "Inflatable pad, insulated"), group: "Sleep", massG: by(280, 440, 560), volumeL: by(0, 1.5, 2), role: "pad", padR: by(2, 3.7, 6) },
      ]; // prettier-ignore
  const kitchen: Row[] = stove
    ? [
        { name: "Burner", group: "Kitchen", massG: by(48, 85, 180), volumeL: 0.2, role: "stove" },
        { name: "Pot and lid", group: "Kitchen", massG: by(96, 150, 290), volumeL: 1 },
        { name: "Lighters, spoon", group: "Kitchen", massG: 38, volumeL: 0.1 },
      ]
    : [{ name: "Jar for soaking, spoon", group: "Kitchen", massG: 92, volumeL: 0.6 }];
  return [
    { name: "Backpack", group: "Pack", massG: by(780, 1250, 1750), role: "pack", loadLimitKg: by(12, 18, 25) },
    { name: "Pack liner", group: "Pack", massG: 45, volumeL: 0.1 },
    ...sleep,
    by<Row>(
      { name: "Quilt", group: "Sleep", massG: 580, volumeL: 6, role: "bag", comfortC: 2, limitC: -4 },
      { name: "Sleeping bag", group: "Sleep", massG: 880, volumeL: 8, role: "bag", comfortC: 0, limitC: -6 },
      { name: "Sleeping bag, winter", group: "Sleep", massG: 1350, volumeL: 12, role: "bag", comfortC: -10, limitC: -17 },
    ), // prettier-ignore
    { name: "Rain jacket", group: "Layers", massG: by(190, 320, 420), volumeL: 1 },
    { name: "Fleece", group: "Layers", massG: by(190, 280, 340), volumeL: 1.8, role: "layer" },
    { name: "Down jacket", group: "Layers", massG: by(230, 340, 480), volumeL: by(2.5, 3, 4.5), role: "layer", warmthK: by(2, 3, 5) },
    { name: "Spare socks and underwear", group: "Layers", massG: by(90, 150, 220), volumeL: 0.6 },
    ...by<Row[]>([], [{ name: "Long underwear", group: "Layers", massG: 240, volumeL: 1 }], [
      { name: "Long underwear", group: "Layers", massG: 320, volumeL: 1.2 },
      { name: "Insulated trousers", group: "Layers", massG: 380, volumeL: 3, warmthK: 2 },
      { name: "Warm gloves, hat", group: "Layers", massG: 180, volumeL: 0.8 },
      { name: "Microspikes", group: "Snow", massG: 380, volumeL: 0.7 },
    ]),
    { name: "Clothes worn", group: "Worn", massG: by(520, 700, 900), wear: "worn" },
    { name: "Shoes", group: "Worn", massG: by(600, 760, 1200), wear: "worn", role: "shoes" },
    { name: "Bottles, 1 L", group: "Water", massG: 38, quantity: 2, role: "bottle", capacityL: 1 },
    { name: "Water bag, 2 L", group: "Water", massG: 36, role: "bottle", capacityL: 2 },
    ...kitchen,
    { name: "Head lamp", group: "Small items", massG: by(42, 78, 95), volumeL: 0.1 },
    { name: "Phone", group: "Small items", massG: 195, volumeL: 0.1 },
    { name: "Plasters, tape, tablets", group: "Small items", massG: by(95, 170, 210), volumeL: 0.4 },
    { name: "Brush, paste, trowel", group: "Small items", massG: by(70, 120, 120), volumeL: 0.3 },
    { name: "Knife, needle, cord", group: "Small items", massG: by(60, 110, 140), volumeL: 0.2 },
    { name: "Sunscreen", group: "Small items", massG: 60, volumeL: 0.1, wear: "consumable", perDayG: 2 },
  ]; // prettier-ignore
}

/** Pieces of the list for one hiker, carried where the spans say. */
export function starterKit(
  choice: StarterChoice,
  { hikerId, spans, idOf }: { hikerId: string; spans: Piece["spans"]; idOf: () => string },
): Row[] {
  return starterRows(choice).map((row) => ({
    ...row,
    id: idOf(),
    ownerId: hikerId,
    carrierId: hikerId,
    spans: structuredClone(spans),
  }));
}
