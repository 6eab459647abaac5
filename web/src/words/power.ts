/** Words for stoves, fuel and batteries. */
import type { Device, Hiker } from "@gepack/core";

export const FUEL_WORDS: Readonly<Record<Hiker["stove"]["fuel"], string>> = {
  "gas-canister": "gas",
  "gas-heat-exchanger": "gas, heat-exchanger pot",
  alcohol: "alcohol",
  tablets: "tablets",
  "liquid-fuel": "white gas",
  none: "no stove",
};

export const CERTAINTY_WORDS: Readonly<Record<Device["spareCertainty"], string>> = {
  mean: "on average",
  "95": "in 95 of 100 cases",
  "99": "in 99 of 100 cases",
};

export const PLACE_WORDS: Readonly<Record<Device["place"], string>> = {
  pack: "on the pack",
  camp: "laid out at camp",
};

export const TREE_WORDS: Readonly<Record<Device["trees"], string>> = {
  open: "in the open",
  scattered: "scattered trees",
  forest: "forest",
};
