/** The leaving sheet of a stop on the screen: what comes, goes, is bought and filled there, with ticks that stay. */
import { Dialog } from "radix-ui";
import { buildPantry, legBags, shoppingLists, type Plan, type PlanResult } from "@gepack/core";
import { LEAVING_CAUTION, leavingWords, type LeavingLine } from "../../paper/leaving.ts";
import { useSelection } from "../../store/selection.ts";
import { ticksOf, type TickList } from "../../edit/ticks.ts";
import { SheetFrame } from "../../ui/SheetFrame.tsx";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  onClose: () => void;
}

export function LeavingSheet({ plan, result, onClose }: Props) {
  const legIndex = useSelection((state) => Math.min(state.legIndex, result.legs.length - 1));
  const who = useSelection((state) => Math.min(state.hikerIndex, plan.hikers.length - 1));
  const say = sayIn(plan);
  const ticks = ticksOf(plan);
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map((_, h) => legBags(plan, result, h, pantry));
  const shopping = shoppingLists(bags, plan.foods).find((one) => one.legIndex === legIndex);
  const bag = bags[who]!.find((one) => one.legIndex === legIndex);
  const { leg, head, title, summary, parts } = leavingWords({ plan, result, legIndex, who, shopping, bag, say });
  return (
    <SheetFrame
      testId="leaving-sheet"
      className="max-w-[520px]"
      legIndex={legIndex}
      legCount={result.legs.length}
      names={["Previous stop", "Next stop"]}
      onClose={onClose}
    >
      <p className="m-0 flex justify-between gap-3 text-sm text-muted">
        <span>{head}</span>
        <span>
          {say.date(leg.startDate)}, leg {legIndex + 1}
        </span>
      </p>
      <Dialog.Title className="m-0 text-2xl font-extrabold">{title}</Dialog.Title>
      <p className="mt-0 mb-2 text-sm text-muted">{summary}</p>
      {parts.map(({ name, figure, lines }) => (
        <section key={name} aria-label={name} className="mt-2 break-inside-avoid border-t-2 border-ink">
          <h3 className="m-0 flex justify-between gap-3 py-0.5 text-sm font-bold">
            <span>{name}</span>
            {figure !== undefined && <span className="figure">{figure}</span>}
          </h3>
          <ul className="m-0 list-none p-0 text-sm">
            {lines.map((line) => (
              <Line key={line.key} line={line} ticks={ticks} />
            ))}
          </ul>
        </section>
      ))}
      <p className="mt-2 mb-0 text-xs text-muted">{LEAVING_CAUTION}</p>
    </SheetFrame>
  );
}

const TONES = { danger: "text-danger", caution: "text-caution" } as const;

function Line({ line: { key, text, small, figure, ticked, of, tone }, ticks }: { line: LeavingLine; ticks: TickList }) {
  const content = (
    <>
      {of && <span className="size-2 shrink-0 rounded-[2px]" style={{ background: `var(--${of})` }} />}
      <span className={`flex-1 ${tone ? TONES[tone] : ""}`}>
        {text} {small !== undefined && <span className="text-xs text-muted">{small}</span>}
      </span>
      {figure !== undefined && <b className="figure">{figure}</b>}
    </>
  );
  return (
    <li className="border-b border-rule">
      {ticked ? (
        <label className="flex items-center gap-2 py-1">
          <input
            type="checkbox"
            checked={ticks.isTicked(key)}
            onChange={(event) => ticks.tick(key, event.target.checked)}
          />
          {content}
        </label>
      ) : (
        <span className="flex items-center gap-2 py-1">{content}</span>
      )}
    </li>
  );
}
