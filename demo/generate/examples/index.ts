/** Five made-up walks, each of a kind of its own; opened from the Plan menu. */
import { intoTheFrost } from "./intoTheFrost.ts";
import { pansAndDunes } from "./pansAndDunes.ts";
import { sixLights } from "./sixLights.ts";
import { towpath } from "./towpath.ts";
import { twoHalves } from "./twoHalves.ts";

export const EXAMPLE_PLANS = [sixLights, towpath, pansAndDunes, intoTheFrost, twoHalves].map((make) => make());
