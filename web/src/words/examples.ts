/** Examples that are files like any other, each with what it shows. */
export const EXAMPLES = {
  "six-lights": {
    file: "six-lights.gepack.json",
    name: "Six lights",
    shows: "420 km of winter coast in six days and nights: dark hours, headlamps, power banks and food in lockers.",
  },
  towpath: {
    file: "towpath.gepack.json",
    name: "The towpath",
    shows:
      "A parent and child, four weeks along a canal: beds every night, closing times, a light pack for small shoulders.",
  },
  pans: {
    file: "pans-and-dunes.gepack.json",
    name: "Pans and dunes",
    shows: "19 days across salt pans with a plant press: water in caches, strong sun, and plans for an empty cache.",
  },
  frost: {
    file: "into-the-frost.gepack.json",
    name: "Into the frost",
    shows: "1,300 km south from August to November: all food mailed, gear swapped as nights get colder.",
  },
  "two-halves": {
    file: "two-halves.gepack.json",
    name: "Two halves",
    shows:
      "A glacier range in the southern summer, walked in two halves: timed fords, food storage, decisions that depend on snow; a friend joins for the second half.",
  },
  halves: {
    file: "flip-flop.gepack.json",
    name: "Tarrow Ridge in two halves",
    shows: "A trail started in the middle: two sections, with a transfer between them.",
  },
  shakedown: {
    file: "shakedown.gepack.json",
    name: "Four-day shakedown",
    shows: "A short hike with its log, which the long one learns from.",
  },
} as const;
export type ExampleId = keyof typeof EXAMPLES;
