/** `SEED=7 npx vitest` draws the same random plans each time; without it, or empty, new ones. */
import fc from "fast-check";

const { SEED = "" } = process.env;
if (SEED !== "") fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: Number(SEED) });
