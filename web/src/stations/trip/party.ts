/** Who walks. Leaving, a hiker's own kit goes, and what the others use or own is carried by the first who stays. */
import { hikerSchema, type Plan } from "@gepack/core";
import { edit, select } from "../../store/app.ts";

export const MOST_HIKERS = 6;

export function addHiker(plan: Plan): void {
  const hiker = hikerSchema.parse({
    id: crypto.randomUUID(),
    name: `Hiker ${plan.hikers.length + 1}`,
    ageY: 35,
    sex: "male",
    heightCm: 176,
    bodyKg: 75,
  });
  void edit("Add hiker", (draft) => void draft.hikers.push(hiker));
}

export function removeHiker(plan: Plan, hikerId: string): void {
  const gone = plan.hikers.find((hiker) => hiker.id === hikerId);
  const stays = plan.hikers.find((hiker) => hiker.id !== hikerId);
  if (!gone || !stays) return;
  select({ hikerIndex: 0 });
  void edit(`Remove ${gone.name}`, (draft) => {
    draft.hikers = draft.hikers.filter((hiker) => hiker.id !== hikerId);
    draft.kit = draft.kit.filter((piece) => piece.shared || piece.ownerId !== hikerId);
    // Their devices go with their pieces; what stays of them is the others' now.
    const pieces = new Set(draft.kit.map((piece) => piece.id));
    draft.devices = draft.devices.filter(
      (device) => device.ownerId !== hikerId || (device.pieceId !== undefined && pieces.has(device.pieceId)),
    );
    for (const device of draft.devices) if (device.ownerId === hikerId) device.ownerId = stays.id;
    for (const piece of draft.kit) {
      if (piece.ownerId === hikerId) piece.ownerId = stays.id;
      if (piece.carrierId === hikerId) piece.carrierId = stays.id;
      for (const span of piece.spans) if (span.carrierId === hikerId) span.carrierId = stays.id;
    }
  });
}
