/** The schools of every question, by id. The first of each is the default; plan files keep the ids. */
import { bodyMass } from "./bodyMass.ts";
import { effort } from "./effort.ts";
import { fuel } from "./fuel.ts";
import { resting } from "./resting.ts";
import { time } from "./time.ts";
import { water } from "./water.ts";

export const models = { time, effort, resting, water, bodyMass, fuel } as const;
export type Question = keyof typeof models;
