/**
 * The cards in hand, each by its day: what is typed is kept on the device with every key, until the day is saved in
 * the plan. It stands beside the database, where a key writes no more than what was typed.
 */
import { useMemo, useRef, useState } from "react";
import { logDaySchema, type LogDay, type Plan, type PlanResult } from "@gepack/core";
import { keepCards, labelOf } from "../../edit/log.ts";
import { undoRedo } from "../../store/document.ts";
import { useDocument } from "../../store/documentState.ts";
import { withoutBlanks } from "./catchUp.ts";
import { followingDate, nextDate, openCard } from "./today.ts";

interface Drafts {
  /** The day that was opened last. */
  date: string;
  cards: Readonly<Record<string, LogDay>>;
}

export interface CardInHand {
  card: LogDay;
  /** Something was changed that is not saved yet. */
  isChanged: boolean;
  change: (fields: Partial<LogDay>) => void;
  /** Opens the card of another day; what is typed on this one stays with it. */
  open: (date: string) => void;
  /** What is in hand of this day is dropped. */
  drop: () => void;
  /** Saves the day and opens the next; what could not be stored stays in hand. */
  save: (fields?: Partial<LogDay>) => Promise<void>;
  /** The day saved last, until the next card is touched or its step is undone. */
  saved: LogDay | undefined;
  takeBack: () => void;
}

const keyOf = (planId: string): string => `gepack.cards.${planId}`;

export function useCard(plan: Plan, result: PlanResult): CardInHand {
  const [drafts, setDrafts] = useState(() => readDrafts(plan));
  const newest = useRef(drafts);
  const [savedCard, setSaved] = useState<LogDay>();
  const undoLabel = useDocument((state) => state.undoLabel);
  const saved = savedCard && undoLabel === labelOf([savedCard]) ? savedCard : undefined;
  const { date } = drafts;
  const fresh = useMemo(() => openCard(plan, result, date).card, [plan, result, date]);
  const card = drafts.cards[date] ?? fresh;
  const keep = (change: (now: Drafts) => Drafts): void => {
    newest.current = change(newest.current);
    setDrafts(newest.current);
    writeDrafts(plan.id, newest.current);
  };
  const put = (next: LogDay): void => keep((now) => ({ date: next.date, cards: { ...now.cards, [next.date]: next } }));
  const dropCard = (gone: LogDay): void =>
    keep((now) => ({
      ...now,
      cards: Object.fromEntries(Object.entries(now.cards).filter(([, one]) => one !== gone)),
    }));
  const open = (to: string): void => {
    setSaved(undefined);
    keep((now) => ({ ...now, date: to }));
  };
  return {
    card,
    isChanged: drafts.cards[date] !== undefined,
    // A field that becomes undefined goes.
    change: (fields) => {
      setSaved(undefined);
      put(withoutBlanks({ ...card, ...fields }));
    },
    open,
    drop: () => dropCard(card),
    save: async (fields = {}) => {
      // What a field gave up a moment ago is in it.
      const inHand = newest.current.cards[date] ?? fresh;
      const card = Object.keys(fields).length === 0 ? inHand : withoutBlanks({ ...inHand, ...fields });
      if (card !== inHand) put(card);
      if (!(await keepCards([card], result))) return;
      dropCard(card);
      // What was typed while it was being stored stays in hand.
      if (newest.current.date !== date || newest.current.cards[date]) return;
      open(followingDate(date));
      setSaved(card);
    },
    saved,
    takeBack: () => {
      if (!saved) return;
      void undoRedo("undo");
      put(saved);
    },
  };
}

/** What is kept may be damaged. */
function readDrafts(plan: Plan): Drafts {
  const none = { date: nextDate(plan), cards: {} };
  try {
    const { date, cards } = JSON.parse(localStorage.getItem(keyOf(plan.id)) ?? "") as Partial<Drafts>;
    const read = Object.values(cards ?? {}).flatMap((one) => logDaySchema.safeParse(one).data ?? []);
    if (read.length === 0) return none;
    const byDate = Object.fromEntries(read.map((one) => [one.date, one]));
    return { date: date !== undefined && byDate[date] ? date : read.at(-1)!.date, cards: byDate };
  } catch {
    return none;
  }
}

function writeDrafts(planId: string, drafts: Drafts): void {
  try {
    if (Object.keys(drafts.cards).length === 0) localStorage.removeItem(keyOf(planId));
    else localStorage.setItem(keyOf(planId), JSON.stringify(drafts));
  } catch {
    // No room beside the database: what is typed stays as long as the page does.
  }
}
