/** Water: where to fill and how much, what if the next is dry, what was seen, how it is treated. */
import { useDeferredValue, useMemo, useState, type KeyboardEvent } from "react";
import { Plus } from "lucide-react";
import { passages as passagesOf, placeAt, walkedOf, type Hiker, type LegResult, type Plan } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { addCache, judge } from "../../edit/water.ts";
import { useLine } from "../../line/scale.ts";
import { select, useSelection } from "../../store/selection.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { Fields, type FieldRow } from "../../ui/FieldNumber.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { changeHiker, HikerRows } from "../../ui/HikerFields.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { checkStation } from "../../words/checks/index.ts";
import { firstName, stopName, waterName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { PAST_WORDS, REPORT_WORDS, TRUST_WORDS } from "../../words/water.ts";
import type { ScreenProps } from "../Screen.tsx";
import { Reports } from "./Reports.tsx";
import { capacityWords } from "./capacity.ts";
import { fillRows, type FillRow } from "./rows.ts";
import { SourcePanel } from "./SourcePanel.tsx";
import { Treating } from "./Treating.tsx";
import { WaterLanes } from "./WaterLanes.tsx";

const NEED: FieldRow[] = [
  ["water.ratePerKmL", "Water per km below 20 °C"],
  ["water.ratePerHourL", "Water per hour below 20 °C"],
  ["water.drinkAtSourceL", "Drunk at each source"],
  ["water.reserveFraction", "Water reserve"],
  ["water.leastL", "Minimum carried"],
  ["water.dinnerL", "Dry camp: dinner"],
  ["water.nightL", "Dry camp: night"],
  ["water.breakfastL", "Dry camp: breakfast"],
];

export default function Water({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const line = useLine(result);
  const say = useMemo(() => sayIn(plan), [plan]);
  const legIndex = useSelection((state) => state.legIndex);
  const who = Math.min(
    useSelection((state) => state.hikerIndex),
    plan.hikers.length - 1,
  );
  const hiker = plan.hikers[who]!;
  const leg = result.legs[Math.min(legIndex, result.legs.length - 1)]!;
  const passages = useMemo(() => passagesOf(plan, result), [plan, result]);
  const rows = fillRows({ plan, result, leg, who, passages });
  const [chosenId, setChosenId] = useState<string>();
  const largest = leg.hikers[who]!.carries[leg.hikers[who]!.largestCarry];
  const row =
    rows.find(({ id, passage }) => id === chosenId || (passage && passage.source.id === chosenId)) ??
    rows.find(({ carry }) => carry !== undefined && carry === largest) ??
    rows[0];
  const chooseSource = (sourceId: string): void => {
    const there = passages.find(({ source }) => source.id === sourceId);
    if (there) select({ legIndex: there.legIndex });
    setChosenId(sourceId);
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.target instanceof HTMLElement && event.target.matches("input, select, textarea")) return;
    const source = row?.passage?.source;
    if (event.key.toLowerCase() !== "x" || event.ctrlKey || event.metaKey || !source) return;
    judge(source, source.counted === false ? undefined : false);
  };
  const checks = result.checks.filter(
    (check) =>
      checkStation(check) === "water" &&
      (check.legIndex === undefined || check.legIndex === leg.index) &&
      (check.hikerId === undefined || check.hikerId === hiker.id),
  );
  return (
    // Keys of whatever in it has the focus.
    <div className="bg-sheet pb-6" onKeyDown={keys}>
      <Trust plan={plan} hiker={hiker} />
      <WaterLanes
        result={result}
        who={who}
        line={line}
        passages={passages}
        chosenId={row?.passage?.source.id}
        say={say}
        onChoose={chooseSource}
      />
      <div className="grid grid-cols-1 gap-x-8 gap-y-5 px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,8fr)_minmax(0,4fr)]">
        <section aria-label="Fill-ups" className="min-w-0">
          <h2 className="m-0 mb-1 text-lg font-bold">
            Fill-ups on leg {leg.index + 1}, {stopName(plan, leg.fromStopId)} to {stopName(plan, leg.toStopId)}
          </h2>
          <p className="mt-0 mb-2 text-sm text-muted">{capacityWords({ plan, result, leg, who, say })}</p>
          <Table<FillRow>
            label="Fill-ups"
            columns={columnsOf(plan, leg, result.profile.cellM, say, leg.hikers[who]!.kit.bottleL)}
            rows={rows}
            idOf={({ id }) => id}
            chosen={row ? [row.id] : []}
            onChoose={(id) => setChosenId(rows.find((one) => one.id === id)?.passage?.source.id ?? id)}
          />
          {plan.sources.length === 0 && (
            <Empty>No water source between the stops: add sources in Trail, by hand or from a file.</Empty>
          )}
          <button
            className="btn mt-2"
            onClick={() => {
              const walkedM = walkedOf(result.profile, (leg.fromNode + leg.toNode) >> 1);
              addCache(placeAt(result.profile, walkedM), leg.startDate);
            }}
          >
            <Plus size={14} aria-hidden="true" /> Add a cache mid-leg
          </button>
        </section>
        <div className="min-w-0">
          {row && <SourcePanel plan={plan} result={result} leg={leg} hiker={hiker} row={row} />}
          <div className="mt-3">
            <CheckList checks={checks} plan={plan} result={result} />
          </div>
        </div>
      </div>
      <div className="px-[18px]">
        <Fold className="border-t border-rule py-2" titleClass="text-sm font-semibold" title="Water treatment">
          <Treating plan={plan} result={result} hiker={hiker} who={who} />
        </Fold>
        <Fold className="border-t border-rule py-2" titleClass="text-sm font-semibold" title="Add many water reports">
          <Reports plan={plan} />
        </Fold>
        <Fold
          className="border-y border-rule py-2"
          titleClass="text-sm font-semibold"
          title="How much you drink and carry"
        >
          <Fields
            title={`${hiker.name}’s water`}
            note="With menus, dinner and breakfast use what the menu needs. Drinking far beyond thirst is dangerous."
          >
            <HikerRows plan={plan} hiker={hiker} list={NEED} />
          </Fields>
        </Fold>
      </div>
    </div>
  );
}

function Trust({ plan, hiker }: { plan: Plan; hiker: Hiker }) {
  const change = changeHiker(hiker);
  const { water } = hiker;
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule px-[18px] py-2 text-sm">
      <Pick
        label={`${firstName(hiker)} counts on`}
        value={water.trust}
        options={Object.entries(TRUST_WORDS) as [keyof typeof TRUST_WORDS, string][]}
        onPick={(trust) => change("counts on", (target) => void (target.water.trust = trust))}
      />
      {water.trust !== "all" && <HikerRows plan={plan} hiker={hiker} list={[["water.leastChance", "Least chance"]]} />}
      <Pick
        label="and carries enough to get"
        value={water.past}
        options={Object.entries(PAST_WORDS) as [keyof typeof PAST_WORDS, string][]}
        onPick={(past) =>
          change("how far water is carried past dry sources", (target) => void (target.water.past = past))
        }
      />
      {plan.stretches
        .filter(({ kind }) => kind === "dry")
        .map((stretch) => (
          <Pick
            key={stretch.id}
            label={`in ${stretch.name}, everyone`}
            value={stretch.past ?? ""}
            options={[
              ["", "same as elsewhere"],
              ...(Object.entries(PAST_WORDS) as [keyof typeof PAST_WORDS, string][]),
            ]}
            onPick={(past) =>
              setRow("stretches", stretch.id, `${stretch.name}: how far water is carried past dry sources`, {
                past: past === "" ? undefined : past,
              })
            }
          />
        ))}
      {water.past === "chance" && (
        <HikerRows plan={plan} hiker={hiker} list={[["water.dryChance", "All may be dry in"]]} />
      )}
    </div>
  );
}

function columnsOf(plan: Plan, leg: LegResult, cellM: number, say: Say, bottleL: number): Column<FillRow>[] {
  return [
    { id: "at", head: "at", right: true, cell: ({ node }) => say.distance(node * cellM) },
    {
      id: "name",
      head: "fill up",
      names: true,
      wide: true,
      cell: ({ passage, carry }) => (
        <>
          <span className={carry ? "" : "text-muted line-through"}>
            {carry ? waterName(carry.fromSourceId, plan) : passage!.source.name}
          </span>
          {passage && (
            <span className="ml-1 text-xs font-normal text-muted">
              {passage.seen
                ? `${REPORT_WORDS[passage.seen.said]}, ${say.date(passage.seen.date)}`
                : say.percent(100 * passage.chance)}
              {!carry && ", not counted"}
            </span>
          )}
        </>
      ),
    },
    {
      id: "litres",
      head: "leave with",
      right: true,
      cell: ({ carry }) =>
        carry && (
          <span className={carry.litres > bottleL + 0.05 ? "font-semibold text-danger" : ""}>
            {say.L(carry.litres)}
          </span>
        ),
    },
    { id: "km", head: "to next", right: true, from: 561, cell: ({ carry }) => carry && say.distance(carry.distanceM) },
    { id: "hours", head: "hours", right: true, from: 561, cell: ({ carry }) => carry && say.number(carry.walkH, 1) },
    {
      id: "camps",
      head: "dry camps",
      right: true,
      from: 861,
      cell: ({ carry }) => (carry && carry.dryCamps > 0.05 ? say.number(carry.dryCamps, 1) : ""),
    },
    {
      id: "treating",
      head: "treating",
      right: true,
      from: 861,
      cell: ({ treating }) =>
        treating && `${say.number(treating.minutes)} min${treating.flushes > 0 ? `, ${treating.flushes} flushes` : ""}`,
    },
    {
      id: "dry",
      head: "if the next is dry",
      right: true,
      cell: ({ carry }) => {
        if (!carry) return "";
        if (carry.toNode >= leg.toNode) return "a stop";
        return (
          carry.ifDry && (
            <span className={carry.ifDry.litres > bottleL + 0.05 ? "font-semibold text-danger" : ""}>
              {say.L(carry.ifDry.litres)}
            </span>
          )
        );
      },
    },
  ];
}
