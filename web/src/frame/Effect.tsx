import { packTotals } from "@gepack/core";
import { useShallow } from "zustand/react/shallow";
import { useDocument } from "../store/documentState.ts";
import { useSelection } from "../store/selection.ts";
import { sayIn } from "../words/say.ts";

/** What the last edit did to the headline figures, until the next one. */
export function Effect() {
  const { plan, result, before, lastLabel } = useDocument(
    useShallow(({ plan, result, before, lastLabel }) => ({ plan, result, before, lastLabel })),
  );
  const hikerIndex = useSelection((state) => state.hikerIndex);
  if (!plan || !result || !before || !lastLabel) return null;
  const say = sayIn(plan);
  // Who has just joined was not there before.
  const of = (one: typeof result) => packTotals(plan, one).hikers[hikerIndex];
  const [old, now] = [of(before), of(result)];
  const kg = (value = 0): string => say.kg(value, 2);
  const pairs: [string, string, string][] = [
    ["heaviest", kg(old?.heaviestKg), kg(now?.heaviestKg)],
    ["food", kg(old?.foodKg), kg(now?.foodKg)],
    ["finish", say.date(before.finishDate), say.date(result.finishDate)],
  ];
  return (
    <div
      // It takes what room is left and no more: nothing below it moves.
      className="flex min-w-0 flex-1 basis-[240px] items-center justify-end gap-x-3 overflow-hidden px-2 text-sm whitespace-nowrap text-muted max-[560px]:col-span-6 max-[560px]:flex-wrap max-[560px]:justify-start max-[560px]:py-0.5"
      title={`${lastLabel}: ${pairs.map(([name, old, now]) => `${name} ${old} → ${now}`).join(", ")}`}
      data-testid="effect"
      role="status"
    >
      <span className="max-w-[260px] min-w-[80px] flex-shrink truncate">{lastLabel}:</span>
      {pairs.map(([name, old, now]) => (
        <span key={name} className="whitespace-nowrap">
          {name}{" "}
          {old === now ? (
            <b className="text-ink">{now}</b>
          ) : (
            <>
              <s>{old}</s> <b className="text-pine">{now}</b>
            </>
          )}
        </span>
      ))}
    </div>
  );
}
