/** The leaving sheet of a stop: what comes, goes, is bought and filled there, and what lies ahead; with ticks, on a phone and on paper. */
import { useRef, type ReactNode } from "react";
import { ChevronLeft, ChevronRight, Printer } from "lucide-react";
import { Dialog } from "radix-ui";
import {
  buildPantry,
  leavingSheet,
  legBags,
  shoppingLists,
  type Plan,
  type PlanResult,
  type SheetPiece,
} from "@gepack/core";
import { select, useSelection } from "../../store/selection.ts";
import { useTicks, type TickList } from "../../store/ticks.ts";
import { boxName, stateWords } from "../../words/boxes.ts";
import { checkSentence } from "../../words/checks/index.ts";
import { firstName, stopName, waterName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { SPAN_WORDS } from "../../words/spans.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  onClose: () => void;
}

/** So far a finger has to go for the next sheet. */
const SWIPE_PX = 60;
const MOST_CAUTIONS = 6;

export function LeavingSheet({ plan, result, onClose }: Props) {
  const legIndex = useSelection((state) => Math.min(state.legIndex, result.legs.length - 1));
  const who = useSelection((state) => Math.min(state.hikerIndex, plan.hikers.length - 1));
  const touchX = useRef<number>(undefined);
  const say = sayIn(plan);
  const ticks = useTicks(plan.id);
  const hiker = plan.hikers[who]!;
  const sheet = leavingSheet(plan, result, legIndex, who);
  const { leg } = sheet;
  const go = (to: number): void => select({ legIndex: Math.max(0, Math.min(result.legs.length - 1, to)) });
  const from = stopName(plan, leg.fromStopId);
  const cautions = result.checks.filter(
    (check) =>
      check.legIndex === legIndex &&
      check.severity !== "note" &&
      (check.hikerId === undefined || check.hikerId === hiker.id),
  );
  const list = (items: readonly SheetPiece[], sign: string): ReactNode =>
    items.map(({ pieceId, name, grams, how }) => (
      <Line key={pieceId} ticks={ticks} id={`${leg.fromStopId} ${hiker.id} ${sign}${pieceId}`}>
        <span className="flex-1">
          {name} <span className="text-xs text-muted">{SPAN_WORDS[how as keyof typeof SPAN_WORDS]}</span>
        </span>
        <b className="figure">
          {sign}
          {say.g(grams)}
        </b>
      </Line>
    ));
  const sum = (items: readonly SheetPiece[]): number => items.reduce((grams, item) => grams + item.grams, 0);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" data-chrome />
        <Dialog.Content
          className="dialog max-w-[520px]"
          data-paper
          data-testid="leaving-sheet"
          aria-describedby={undefined}
          onKeyDown={(event) => {
            const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
            if (by !== undefined) go(legIndex + by);
          }}
          onTouchStart={(event) => void (touchX.current = event.touches[0]?.clientX)}
          onTouchEnd={(event) => {
            const moved = (event.changedTouches[0]?.clientX ?? 0) - (touchX.current ?? 0);
            if (Math.abs(moved) > SWIPE_PX) go(legIndex + (moved < 0 ? 1 : -1));
          }}
        >
          <div className="mb-2 flex flex-wrap items-center gap-2" data-chrome>
            <button className="btn" aria-label="Stop before" disabled={legIndex === 0} onClick={() => go(legIndex - 1)}>
              <ChevronLeft size={15} aria-hidden="true" />
            </button>
            <button
              className="btn"
              aria-label="Next stop"
              disabled={legIndex === result.legs.length - 1}
              onClick={() => go(legIndex + 1)}
            >
              <ChevronRight size={15} aria-hidden="true" />
            </button>
            <span className="flex-1" />
            <button className="btn" onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
          <p className="m-0 flex justify-between gap-3 text-sm text-muted">
            <span>
              Leaving {from}, {firstName(hiker)}
            </span>
            <span>
              {say.date(leg.startDate)}, leg {legIndex + 1}
            </span>
          </p>
          <Dialog.Title className="m-0 text-2xl font-extrabold">
            {say.kg(sheet.startKg)} to {stopName(plan, leg.toStopId)}
          </Dialog.Title>
          <p className="mt-0 mb-2 text-sm text-muted">
            {say.way(leg.distanceM)}, {say.height(leg.climbM)} up, {say.days(leg.dayCount)}. Nights to{" "}
            {say.C(leg.coldNightC)}, days to {say.C(leg.hotDayC)}
            {leg.snowM >= 500 && `, ${say.way(leg.snowM)} on snow`}.
          </p>
          {sheet.comes.length > 0 && (
            <Part name="Comes in" figure={`+${say.g(sum(sheet.comes))}`}>
              {list(sheet.comes, "+")}
            </Part>
          )}
          {sheet.goes.length > 0 && (
            <Part name="Goes" figure={`−${say.g(sum(sheet.goes))}`}>
              {list(sheet.goes, "−")}
            </Part>
          )}
          {sheet.boxes.length > 0 && (
            <Part name={sheet.boxes.length === 1 ? "Box to fetch" : "Boxes to fetch"}>
              {sheet.boxes.map((box) => (
                <Line key={box.key} ticks={ticks} id={`${leg.fromStopId} box ${box.key}`}>
                  <span className="flex-1">
                    {boxName(box, plan)} <span className="text-xs text-muted">{stateWords(box.row, say)}</span>
                  </span>
                  <b className="figure">{say.kg(box.totalG / 1000)}</b>
                </Line>
              ))}
            </Part>
          )}
          <Part name="Food" figure={`${say.kg(sheet.food.kg)}, ${say.kcal(sheet.food.kcal)}`}>
            <Foods plan={plan} result={result} legIndex={legIndex} ticks={ticks} say={say} byPost={sheet.food.byPost} />
          </Part>
          <Part name="Water and fuel">
            {sheet.carries.map((carry) => (
              <Line key={carry.fromNode} dot="var(--water)">
                <span className="flex-1">
                  {carry.fromNode === leg.fromNode ? "Fill here" : waterName(carry.fromSourceId, plan)},{" "}
                  {say.way(carry.fromNode * result.profile.cellM)}
                  {carry.campL > 0 && ", for a dry camp"}
                </span>
                <b className="figure">{say.L(carry.litres)}</b>
              </Line>
            ))}
            {sheet.fuel.startG > 0 && (
              <Line dot="var(--fuel)">
                <span className="flex-1">{fuelWords(sheet.fuel, say)}</span>
                <b className="figure">{say.g(sheet.fuel.startG)}</b>
              </Line>
            )}
          </Part>
          {sheet.charge && (
            <Part name="Charge">
              <Line>
                {sheet.charge.flatOn === undefined
                  ? `Lasts; at the least ${say.percent(100 * sheet.charge.lowestFraction)} are left.`
                  : `Runs flat on ${say.date(sheet.charge.flatOn)}: charge all there is, switch off what can be.`}
              </Line>
            </Part>
          )}
          {sheet.ahead.length > 0 && (
            <Part name="Ahead">
              {sheet.ahead.map(({ name, rule, kind, fromM }) => (
                <Line key={`${name} ${fromM}`}>
                  <span className="flex-1">
                    {name} <span className="text-xs text-muted">{(rule ?? kind).replace("-", " ")}</span>
                  </span>
                  <span className="figure text-muted">{say.way(fromM)}</span>
                </Line>
              ))}
            </Part>
          )}
          {cautions.length > 0 && (
            <Part name="Cautions">
              {cautions.slice(0, MOST_CAUTIONS).map((check, i) => (
                <Line key={i}>
                  <span className={check.severity === "blocker" ? "text-danger" : "text-caution"}>
                    {checkSentence(check, plan)}
                  </span>
                </Line>
              ))}
              {cautions.length > MOST_CAUTIONS && <Line>{cautions.length - MOST_CAUTIONS} more in Legs.</Line>}
            </Part>
          )}
          <p className="mt-2 mb-0 text-xs text-muted">
            A plan, not a forecast. Ask there about weather, water and closures; local rules and land managers go first.
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function fuelWords({ openG, bought, needG }: { openG: number; bought: number; needG: number }, say: Say): string {
  const left = openG > 0 ? `${say.g(openG)} left` : "none left";
  return bought > 0
    ? `Fuel: ${left}, the leg burns ${say.g(needG)}: ${bought} more`
    : `Fuel: ${left}, the leg burns ${say.g(needG)}: it lasts`;
}

interface FoodsProps extends Omit<Props, "onClose"> {
  legIndex: number;
  ticks: TickList;
  say: Say;
  byPost: boolean;
}

/** What to buy there by the menus; the box brings its own list. */
function Foods({ plan, result, legIndex, ticks, say, byPost }: FoodsProps) {
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map((_, who) => legBags(plan, result, who, pantry));
  const list = shoppingLists(bags, plan.foods).find((one) => one.legIndex === legIndex);
  const { stopId = "" } = list ?? {};
  return (
    <>
      {byPost && <Line>Out of the box.</Line>}
      {(list?.bought ?? []).map(({ food, massG, packs }) => (
        <Line key={food.id} ticks={ticks} id={`buy ${stopId} ${food.id}`} dot="var(--food)">
          <span className="flex-1">
            {food.name}
            {packs !== undefined && <span className="text-xs text-muted"> {packs} packs</span>}
          </span>
          <span className="figure">{say.g(massG)}</span>
        </Line>
      ))}
    </>
  );
}

function Part({ name, figure, children }: { name: string; figure?: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="mt-2 break-inside-avoid border-t-2 border-ink">
      <h3 className="m-0 flex justify-between gap-3 py-0.5 text-sm font-bold">
        <span>{name}</span>
        {figure !== undefined && <span className="figure">{figure}</span>}
      </h3>
      <ul className="m-0 list-none p-0 text-sm">{children}</ul>
    </section>
  );
}

/** Ticked off where it has an id. */
function Line({ ticks, id, dot, children }: { ticks?: TickList; id?: string; dot?: string; children: ReactNode }) {
  const marked = dot !== undefined && <span className="size-2 shrink-0 rounded-[2px]" style={{ background: dot }} />;
  return (
    <li className="border-b border-rule">
      {ticks && id !== undefined ? (
        <label className="flex items-center gap-2 py-1">
          <input
            type="checkbox"
            checked={ticks.isTicked(id)}
            onChange={(event) => ticks.tick(id, event.target.checked)}
          />
          {marked}
          {children}
        </label>
      ) : (
        <span className="flex items-center gap-2 py-1">
          {marked}
          {children}
        </span>
      )}
    </li>
  );
}
