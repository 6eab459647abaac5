/** The card in hand: what is typed is kept on the device with every change, until the day is kept or dropped. */
import { useCallback, useEffect, useMemo, useState } from "react";
import { logDaySchema, type LogDay, type Plan, type PlanResult } from "@gepack/core";
import { readSetting, writeSetting } from "../../data/plans.ts";
import { withoutBlanks } from "./catchUp.ts";
import { nextDate, openCard } from "./today.ts";

const settingOf = (planId: string): string => `card ${planId}`;

export interface CardInHand {
  card: LogDay;
  /** Something was changed that is not kept yet. */
  isChanged: boolean;
  change: (fields: Partial<LogDay>) => void;
  /** Opens the card of another day; what is in hand is dropped. */
  open: (date: string) => void;
  /** What is in hand was kept, or is dropped. */
  rest: () => void;
}

export function useCard(plan: Plan, result: PlanResult): CardInHand {
  const [date, setDate] = useState(() => nextDate(plan));
  const [draft, setDraft] = useState<LogDay>();
  const key = settingOf(plan.id);
  useEffect(() => {
    let isThere = true;
    void readSetting(key).then(
      (text) => {
        const found = isThere ? readCard(text) : undefined;
        if (!found) return;
        setDate(found.date);
        setDraft(found);
      },
      () => {},
    );
    return () => {
      isThere = false;
    };
  }, [key]);
  const fresh = useMemo(() => openCard(plan, result, date).card, [plan, result, date]);
  const card = draft?.date === date ? draft : fresh;
  const keep = useCallback(
    (next: LogDay | undefined): void => {
      setDraft(next);
      void writeSetting(key, next ? JSON.stringify(next) : "").catch(() => {});
    },
    [key],
  );
  const open = useCallback(
    (to: string): void => {
      keep(undefined);
      setDate(to);
    },
    [keep],
  );
  return {
    card,
    isChanged: draft?.date === date,
    // A field that becomes undefined goes.
    change: (fields) => keep(withoutBlanks({ ...card, ...fields })),
    open,
    rest: () => keep(undefined),
  };
}

/** What is kept may be damaged. */
function readCard(text: string | undefined): LogDay | undefined {
  if (!text) return undefined;
  try {
    return logDaySchema.safeParse(JSON.parse(text)).data;
  } catch {
    return undefined;
  }
}
