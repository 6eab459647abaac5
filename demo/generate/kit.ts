/** Two hikers' kit, generic names. A row: name, group, grams, then what differs from the plain case. */

interface PieceOut {
  id: string;
  name: string;
  group: string;
  massG: number;
  ownerId: string;
  carrierId: string;
  spans: object[];
  [key: string]: unknown;
}

const T = "tamsin";
const J = "jory";
const start = "@start";
const finish = "@finish";

interface SpanOptions {
  begins?: string;
  ends?: string;
  carrierId?: string;
}
const span = (fromStopId: string, toStopId: string, options: SpanOptions = {}): object => ({
  fromStopId,
  toStopId,
  begins: options.begins ?? (fromStopId === start ? "from-home" : "posted"),
  ends: options.ends ?? (toStopId === finish ? "kept" : "sent-home"),
  ...(options.carrierId ? { carrierId: options.carrierId } : {}),
});
const whole = [span(start, finish)];
const range = [span("ivory-gate", "tarn-junction")];
const rangeAndSael = [span("ivory-gate", "sael")];

export function buildKit(): PieceOut[] {
  const pieces: PieceOut[] = [];
  const add = (who: string, name: string, group: string, massG: number, extra: Record<string, unknown> = {}, spans: object[] = whole): void => {
    pieces.push({
      id: `${who}-${pieces.length + 1}`,
      name,
      group,
      massG,
      ownerId: who,
      carrierId: who,
      measured: massG % 5 !== 0,
      ...extra,
      spans,
    });
  };
  const both = (name: string, group: string, massT: number, massJ: number, extra: Record<string, unknown> = {}, spans: object[] = whole): void => {
    add(T, name, group, massT, extra, spans);
    add(J, name, group, massJ, extra, spans);
  };

  add(T, "Trekking-pole tent, two persons", "Shelter", 842, {
    role: "shelter",
    shared: true,
    volumeL: 3.6,
    carrierId: J,
  });
  add(T, "Stakes, 8", "Shelter", 96, { shared: true, volumeL: 0.2 });
  add(T, "Ground sheet", "Shelter", 88, { shared: true, volumeL: 0.4 });
  add(J, "Snow stakes, 4", "Shelter", 76, { shared: true, volumeL: 0.3 }, range);

  both("Backpack", "Pack", 986, 1092, { role: "pack" });
  both("Pack liner", "Pack", 42, 42, { volumeL: 0.1 });
  add(T, "Quilt, comfort −9 °C", "Sleep", 692, { role: "bag", comfortC: -9, limitC: -15, volumeL: 7.5 }, [span(start, "sael")]);
  add(T, "Quilt, comfort 4 °C", "Sleep", 431, { role: "bag", comfortC: 4, limitC: -1, volumeL: 4.5 }, [span("sael", finish)]);
  add(J, "Sleeping bag, comfort −7 °C", "Sleep", 874, { role: "bag", comfortC: -7, limitC: -13, volumeL: 8.5 }, [span(start, "sael")]);
  add(J, "Sleeping bag, comfort 5 °C", "Sleep", 562, { role: "bag", comfortC: 5, limitC: 0, volumeL: 5 }, [span("sael", finish)]);
  both("Inflatable pad, R 4.5", "Sleep", 392, 448, { role: "pad", padR: 4.5, volumeL: 1.4 });
  both("Foam sheet, R 1", "Sleep", 128, 128, { role: "pad", padR: 1, volumeL: 0 }, [span("ivory-gate", "sael")]);
  add(T, "Silk liner", "Sleep", 122, { warmthK: 2, volumeL: 0.4 }, [span(start, "lanner-rest"), span("orrin-mill", finish)]);
  add(T, "Fleece liner", "Sleep", 318, { warmthK: 4, volumeL: 2.1 }, [span("ivory-gate", "tarn-junction")]);
  add(J, "Inflatable pillow", "Sleep", 68, { volumeL: 0.2 });

  both("Down jacket", "Layers", 312, 356, { role: "layer", warmthK: 3, volumeL: 3 }, [span(start, "sael"), span("grayle", finish)]);
  both("Fleece", "Layers", 241, 286, { role: "layer", volumeL: 1.8 });
  both("Rain jacket", "Layers", 216, 258, { volumeL: 1 });
  both("Rain trousers", "Layers", 158, 184, { volumeL: 0.8 }, [span("ivory-gate", "upper-sael"), span("grayle", finish)]);
  both("Wind shirt", "Layers", 102, 118, { volumeL: 0.4 }, [span(start, "ivory-gate", { ends: "sent-forward" }), span("sael", finish)]);
  both("Waterproof mitts", "Layers", 61, 67, { volumeL: 0.2 }, rangeAndSael);
  both("Liner gloves", "Layers", 34, 38, { volumeL: 0.1 });
  both("Warm hat", "Layers", 47, 52, { volumeL: 0.2 });
  both("Head net", "Layers", 24, 24, { volumeL: 0.05 }, [span("tarn-junction", "fennet")]);

  both("Walking shirt", "Worn", 164, 188, { wear: "worn" });
  both("Walking trousers", "Worn", 236, 274, { wear: "worn" });
  both("Underwear and socks, worn", "Worn", 118, 132, { wear: "worn" });
  both("Sun hat", "Worn", 72, 78, { wear: "worn" });
  both("Trekking poles", "Worn", 386, 412, { wear: "worn" });
  both("Sunglasses", "Worn", 29, 31, { wear: "worn" });
  both("Spare socks", "Spare clothes", 92, 106, { volumeL: 0.4 });
  both("Sleep shirt and leggings", "Spare clothes", 268, 312, { volumeL: 1.6 });

  for (const [who, grams, to1, to2] of [
    [T, 564, "ivory-gate", "upper-sael"],
    [J, 702, "ivory-gate", "birkenhol"],
  ] as const) {
    add(who, "Shoes, pair 1", "Shoes", grams, { wear: "worn", role: "shoes" }, [span(start, to1, { ends: "discarded" })]);
    add(who, "Shoes, pair 2", "Shoes", grams, { wear: "worn", role: "shoes" }, [span(to1, to2, { ends: "discarded" })]);
    add(who, "Shoes, pair 3", "Shoes", grams, { wear: "worn", role: "shoes" }, [span(to2, finish)]);
  }

  both("Ice axe", "Snow and hazard", 312, 348, { volumeL: 0 }, range);
  both("Micro spikes", "Snow and hazard", 338, 364, { volumeL: 0.8 }, range);
  both("Bear canister", "Food storage", 982, 1164, { role: "hard-canister", capacityL: 11.5, volumeL: 13 }, [span("ivory-gate", "tarn-junction")]);
  both("Odour-proof food sack", "Food storage", 46, 46, { volumeL: 0.05 }, [span(start, "ivory-gate"), span("tarn-junction", finish, { begins: "posted" })]);
  add(J, "Hanging line, 15 m", "Food storage", 72, { volumeL: 0.1, shared: true }, [span("tarn-junction", finish)]);
  add(J, "Animal spray", "Snow and hazard", 326, { volumeL: 0.5, shared: true }, [span("orrin-mill", "fennet", { begins: "bought", ends: "discarded" })]);

  both("Bottle, 1 L", "Water", 38, 38, { role: "bottle", capacityL: 1, quantity: 2 });
  both("Soft flask, 2 L", "Water", 37, 37, { role: "bottle", capacityL: 2 });
  both("Water bag, 3 L", "Water", 54, 54, { role: "bottle", capacityL: 3 }, [span(start, "ivory-gate")]);
  add(J, "Water filter", "Water", 86, { shared: true, volumeL: 0.4 });
  add(T, "Water drops", "Water", 44, { shared: true, wear: "consumable", volumeL: 0.1 });

  add(T, "Gas burner", "Kitchen", 84, { role: "stove", volumeL: 0.2 });
  add(T, "Pot, 0.7 L, with lid", "Kitchen", 128, { volumeL: 0.9 });
  add(T, "Stand and wind shield", "Kitchen", 38, { volumeL: 0.2 });
  add(J, "Soaking jar", "Kitchen", 62, { volumeL: 0.7 });
  both("Long spoon", "Kitchen", 14, 14);

  both("Phone", "Electronics", 196, 221, { volumeL: 0.1 });
  add(J, "Power bank, 10 000 mAh", "Electronics", 208, { shared: true, volumeL: 0.15 });
  add(J, "Second power bank, 5 000 mAh", "Electronics", 116, { shared: true, volumeL: 0.1 }, [span("ivory-gate", "colm-harbour")]);
  add(T, "Satellite messenger", "Electronics", 102, { shared: true, volumeL: 0.1 });
  both("Headlamp", "Electronics", 58, 64, { volumeL: 0.1 });
  both("Cables and plug", "Electronics", 74, 81, { volumeL: 0.15 });
  add(T, "Camera", "Electronics", 386, { volumeL: 0.6 });

  add(J, "First-aid kit", "Repair and care", 168, { shared: true, volumeL: 0.6 });
  add(T, "Repair kit", "Repair and care", 92, { shared: true, volumeL: 0.3 });
  both("Wash bag", "Repair and care", 118, 104, { volumeL: 0.4 });
  both("Trowel", "Repair and care", 17, 17);
  both("Sun cream", "Repair and care", 64, 64, { wear: "consumable", volumeL: 0.1 }, [span(start, "sael")]);
  add(T, "Insect repellent", "Repair and care", 58, { wear: "consumable", shared: true, volumeL: 0.1, perDayG: 1.5, emptyG: 14 }, [span("tarn-junction", "fennet", { begins: "bought", ends: "discarded" })]);
  add(J, "Notebook and pencil", "Papers", 88, { volumeL: 0.1 });
  both("Papers and permit", "Papers", 38, 38);
  both("Umbrella for sun", "Layers", 174, 174, { volumeL: 0.5 }, [span(start, "ivory-gate")]);

  const shelf: object[] = [];
  add(
    T,
    "Double-wall tent, two persons",
    "Shelter",
    1464,
    { role: "shelter", shared: true, volumeL: 6, listedG: 1380, measured: true, price: 390, boughtOn: "2024-05-11", condition: "good", comfort: 5, nightsBefore: 41 },
    shelf,
  );
  add(J, "Tarp with net, two persons", "Shelter", 688, { role: "shelter", shared: true, volumeL: 3, price: 260, condition: "new", comfort: 2 }, shelf);
  add(T, "Frameless pack, 45 L", "Pack", 624, { role: "pack", listedG: 595, measured: true, price: 210, boughtOn: "2026-02-20", condition: "good", comfort: 2, loadLimitKg: 11, wornM: 320_000 }, shelf);
  add(J, "Framed pack, 65 L", "Pack", 1684, { role: "pack", price: 230, condition: "worn", comfort: 5, loadLimitKg: 24, wornM: 1_450_000, nightsBefore: 96 }, shelf);
  add(T, "Spirit burner with stand", "Kitchen", 46, { role: "stove", price: 35, condition: "good", comfort: 2 }, shelf);
  const worn = (who: string, name: string, more: Record<string, unknown>): void => {
    Object.assign(
      pieces.find((piece) => piece.ownerId === who && piece.name === name)!,
      more,
    );
  };
  worn(T, "Trekking-pole tent, two persons", { price: 540, listedG: 790, comfort: 4, condition: "good", nightsBefore: 12 });
  worn(T, "Gas burner", { price: 60, comfort: 4 });
  worn(J, "Backpack", { price: 290, listedG: 1050, comfort: 4, loadLimitKg: 24 });
  worn(T, "Backpack", {
    price: 310,
    listedG: 1060,
    comfort: 4,
    loadLimitKg: 22,
    wornM: 410_000,
    modifications: [
      { what: "Lid and spare straps cut off", savedG: 96, done: true },
      { what: "Back plate changed for the sit pad", savedG: 118, done: false },
    ],
  });
  return pieces;
}

/** The kit as it was before a shakedown of four days, what waits to be decided, and how it came to be so. */
export function buildKitStory(pieces: readonly PieceOut[]): Record<string, unknown> {
  const idOf = (who: string, name: string): string => pieces.find((piece) => piece.ownerId === who && piece.name === name)!.id;
  const before: Record<string, number> = {
    [idOf(T, "Backpack")]: 1082,
    [idOf(J, "First-aid kit")]: 344,
    [idOf(T, "Pot, 0.7 L, with lid")]: 211,
  };
  const listed = pieces
    .filter(({ spans }) => spans.length > 0)
    .filter(({ name }) => name !== "Notebook and pencil")
    .map(({ id, name, group, massG, quantity = 1, wear = "packed", carrierId: hikerId }) => ({
      id, name, group, massG: before[id] ?? massG, quantity, wear, hikerId,
    })); // prettier-ignore
  const left = (id: string, name: string, group: string, massG: number, hikerId: string) => ({
    id, name, group, massG, quantity: 1, wear: "packed", hikerId,
  }); // prettier-ignore
  return {
    savedLists: [
      {
        id: "before-shakedown",
        name: "before the shakedown",
        on: "2027-02-27",
        pieces: [
          ...listed,
          left("book", "Book", "Papers", 312, T),
          left("chair", "Camp chair", "Sleep", 468, J),
          left("towel", "Towel", "Repair and care", 142, T),
          left("jeans", "Town trousers", "Spare clothes", 522, J),
        ],
      },
    ],
    decisions: [
      {
        id: "stakes",
        name: "more than 5 km of snow lie on the high ground",
        pieceIds: [idOf(J, "Snow stakes, 4")],
        otherwiseIds: [],
        condition: { of: "snow-over", limit: 5 },
        counted: true,
      },
      {
        id: "spray",
        name: "the rangers at Orrin Mill advise it",
        pieceIds: [idOf(J, "Animal spray")],
        otherwiseIds: [],
        counted: true,
      },
    ],
    boxes: [
      {
        id: "box-ivory-gate",
        toStopId: "ivory-gate",
        address: "T. Okafor, hiker\nPost office, Ivory Gate\nPlease hold",
        lines: [{ id: "maps", name: "Maps of the high ground", massG: 145 }],
        cartonG: 420,
        packedOn: "2027-04-18",
      },
      { id: "box-sael", toStopId: "sael", cartonG: 260, packedOn: "2027-05-24", sentOn: "2027-05-25" },
    ],
    kitStory: [
      { on: "2027-03-06", what: "Camp chair, book and towel left", why: "nobody used them on the shakedown" },
      { on: "2027-03-07", what: "Lid and straps of the backpack cut off", why: "empty on all four days" },
    ],
  };
}

/** What the party charges or keeps in cells; the pieces of kit by their names. */
export function buildDevices(pieces: { id: string; name: string; ownerId: string }[]): Record<string, unknown>[] {
  const pieceOf = (name: string, ownerId: string): string => {
    const found = pieces.find((piece) => piece.name === name && piece.ownerId === ownerId);
    if (!found) throw new Error(`No piece of kit is called ${name} and belongs to ${ownerId}.`);
    return found.id;
  };
  const device = (name: string, ownerId: string, piece: string | undefined, rest: Record<string, unknown>) => ({
    name,
    ownerId,
    ...(piece === undefined ? {} : { pieceId: pieceOf(piece, ownerId) }),
    ...rest,
  });
  return [
    device("Phone", T, "Phone", { kind: "rechargeable", mAh: 4400, whPerDay: 4.6, watts: 15 }),
    device("Phone", J, "Phone", { kind: "rechargeable", mAh: 4800, whPerDay: 5.2, watts: 18 }),
    device("Satellite messenger", T, "Satellite messenger", { kind: "rechargeable", mAh: 1250, whPerDay: 0.6 }),
    device("Camera", T, "Camera", { kind: "rechargeable", mAh: 1900, whPerDay: 1.8 }),
    device("Headlamp", J, "Headlamp", { kind: "rechargeable", mAh: 900, whPerDay: 0.3 }),
    device("Headlamp on cells", T, "Headlamp", { kind: "spare-cells", daysPerSet: 9, spareSets: 0 }),
    device("Power bank, 10 000 mAh", J, "Power bank, 10 000 mAh", { kind: "bank", mAh: 10_000, watts: 18 }),
    device("Second power bank, 5 000 mAh", J, "Second power bank, 5 000 mAh", { kind: "bank", mAh: 5000, watts: 10 }),
  ].map((row, i) => ({ id: `d${i + 1}`, ...row }));
}
