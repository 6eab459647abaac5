import { turnRound as turn } from "@gepack/core";
import { edit } from "../store/document.ts";

const OPPOSITE: Record<string, string> = {
  northbound: "southbound",
  southbound: "northbound",
  eastbound: "westbound",
  westbound: "eastbound",
};

/** Turns the walk round: the track stays as recorded, everything along it follows. */
export function turnRound(): void {
  void edit("Reverse direction", (plan) => {
    turn(plan);
    const { trip } = plan;
    trip.directionName = OPPOSITE[trip.directionName] ?? trip.directionName;
  });
}
