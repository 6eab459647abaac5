/** The map of the papers: what each is called, and the sheets that it is made of. A new one is a row here. */
import type { ReactElement } from "react";
import { DayCards, LegCards } from "./cards.tsx";
import type { PaperFacts } from "./facts.ts";
import { BoxSheet, CheckListSheet, FlightSheet, PackingSheet, SendingSheet, ShoppingSheet } from "./lists.tsx";
import { DayTable, LeavingPaper, MileTable, Overview, WaterSheet } from "./sheets.tsx";

interface Paper {
  word: string;
  note: string;
  /** Its sheets follow each other on a page. */
  runsOn?: boolean;
  sheets: (facts: PaperFacts) => ReactElement[];
}

export const PAPERS = {
  overview: {
    word: "Overview",
    note: "elevation, legs, open issues",
    sheets: (facts) => [<Overview key="overview" facts={facts} />],
  },
  "leg-cards": {
    word: "Leg cards",
    note: "one pocket card per leg",
    sheets: (facts) => (facts.legs.length === 0 ? [] : [<LegCards key="legs" facts={facts} />]),
  },
  "day-cards": {
    word: "Day cards",
    note: "one card per day, with room for notes",
    sheets: (facts) => (facts.days.length === 0 ? [] : [<DayCards key="days" facts={facts} />]),
  },
  "day-table": {
    word: "Day by day",
    note: "where you are on which date",
    sheets: (facts) => [<DayTable key="table" facts={facts} />],
  },
  leaving: {
    word: "Departure sheets",
    note: "what to do at each stop",
    sheets: (facts) => facts.legs.map((leg) => <LeavingPaper key={leg.index} facts={facts} leg={leg} />),
  },
  water: {
    word: "Camps and water",
    note: "one sheet per leg",
    sheets: (facts) => facts.legs.map((leg) => <WaterSheet key={leg.index} facts={facts} leg={leg} />),
  },
  miles: {
    word: "Mile table",
    note: "every place in trail order",
    sheets: (facts) => [<MileTable key="miles" facts={facts} />],
  },
  boxes: {
    word: "Boxes",
    note: "a label and a contents list each",
    sheets: (facts) => facts.boxes.map((box) => <BoxSheet key={box.key} facts={facts} box={box} />),
  },
  sending: {
    word: "Mailing calendar",
    note: "what to do at home, by when",
    sheets: (facts) => [<SendingSheet key="sending" facts={facts} />],
  },
  shopping: {
    word: "Shopping lists",
    note: "from the menus, stop by stop",
    runsOn: true,
    sheets: (facts) => facts.shopping.map((list) => <ShoppingSheet key={list.legIndex} facts={facts} list={list} />),
  },
  checklist: {
    word: "Check-list",
    note: "what each hiker packs",
    sheets: (facts) =>
      facts.plan.hikers.map((hiker, who) => <CheckListSheet key={hiker.id} facts={facts} hiker={hiker} who={who} />),
  },
  packing: {
    word: "Packing order",
    note: "what rides where, bottom to top",
    sheets: (facts) =>
      facts.plan.hikers.map((hiker, who) => <PackingSheet key={hiker.id} facts={facts} hiker={hiker} who={who} />),
  },
  flight: {
    word: "Flight list",
    note: "cabin, hold, neither",
    sheets: (facts) => [<FlightSheet key="flight" facts={facts} />],
  },
} as const satisfies Record<string, Paper>;

export type PaperId = keyof typeof PAPERS;
export const runsOn = (id: PaperId): boolean => (PAPERS[id] as Paper).runsOn === true;
export const PAPER_IDS = Object.keys(PAPERS) as PaperId[];
export const isPaperId = (text: string): text is PaperId => Object.hasOwn(PAPERS, text);

/** For the person at home: where the hiker should be, and what is sent when. */
export const FOR_HOME: readonly PaperId[] = ["overview", "day-table", "sending", "boxes"];
