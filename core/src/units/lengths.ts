/**
 * The two ways to measure along a trail, kept apart by the compiler: a number of one is no number of the other.
 * `walkedAt` and `trackAt` of `track/place.ts` turn one into the other.
 */
declare const along: unique symbol;

/** Metres along the track as it was recorded, whatever the direction walked: what plan documents hold. */
export type TrackM = number & { readonly [along]: "recorded" };

/** Metres in walking order from where the walk starts: what results hold and the Line is drawn in. */
export type WalkedM = number & { readonly [along]: "walked" };
