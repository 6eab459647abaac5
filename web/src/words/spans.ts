import type { Piece, Span } from "@gepack/core";

export const SPAN_WORDS: Record<Span["begins"] | Span["ends"], string> = {
  "from-home": "from home",
  posted: "mailed ahead",
  bought: "bought",
  "handed-over": "handed over",
  kept: "kept",
  "sent-home": "sent home",
  "sent-forward": "mailed onward",
  discarded: "discarded",
};

export const ROLE_WORDS: Record<NonNullable<Piece["role"]>, string> = {
  pack: "pack",
  shelter: "shelter",
  bag: "sleeping bag or quilt",
  pad: "pad",
  shoes: "shoes",
  bottle: "bottle or water bag",
  "hard-canister": "bear canister",
  stove: "stove",
  layer: "warm layer",
};

export const WEAR_WORDS: Record<Piece["wear"], string> = {
  packed: "in the pack",
  worn: "worn",
  consumable: "consumable",
};
