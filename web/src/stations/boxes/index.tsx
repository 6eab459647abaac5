/** Boxes: what is posted, where and when; what flies; each box packed, sent, arrived, fetched. */
import { useDeferredValue, useMemo, useState } from "react";
import { boxesOf, type PlannedBox } from "@gepack/core";
import { editPart } from "../../edit/rows.ts";
import { save } from "../../frame/files.ts";
import { saveCsv, saveXlsx } from "../../exports/sheets.ts";
import { boxSheet } from "../../exports/workbook.ts";
import { report } from "../../store/notices.ts";
import { useLine } from "../../line/scale.ts";
import { select, useSelection } from "../../store/selection.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { RecordField } from "../../ui/FieldNumber.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { Table } from "../../ui/Table.tsx";
import { checkStation } from "../../words/checks/index.ts";
import { arrivalWords, boxName, sendWords, stateWords } from "../../words/boxes.ts";
import { sayIn } from "../../words/say.ts";
import type { ScreenProps } from "../Screen.tsx";
import { BoxLane } from "./BoxLane.tsx";
import { BoxPanel } from "./BoxPanel.tsx";
import { Bounce } from "./Bounce.tsx";
import { Flying } from "./Flying.tsx";
import { Postage } from "./Postage.tsx";

export default function Boxes({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const line = useLine(result);
  const say = useMemo(() => sayIn(plan), [plan]);
  const legIndex = useSelection((state) => state.legIndex);
  const boxes = useMemo(() => boxesOf(plan, result), [plan, result]);
  const [chosenKey, setChosenKey] = useState<string>();
  const chosen =
    boxes.find(({ key }) => key === chosenKey) ?? boxes.find((box) => box.legIndex === legIndex) ?? boxes[0];
  const choose = (key: string): void => {
    setChosenKey(key);
    select({ legIndex: boxes.find((box) => box.key === key)!.legIndex });
  };
  const checks = result.checks.filter((check) => checkStation(check) === "boxes");
  const fileName = `${plan.trip.name} boxes`;
  const sums = sumsOf(boxes);
  return (
    <div className="reads-as-text bg-sheet pb-6">
      <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-2 text-sm">
        <button className="btn" disabled={boxes.length === 0} onClick={() => void calendar().catch(report)}>
          Mailing calendar (ICS)
        </button>
        <button className="btn" disabled={boxes.length === 0} onClick={() => saveCsv(fileName, boxSheet(plan, result))}>
          CSV
        </button>
        <button
          className="btn"
          disabled={boxes.length === 0}
          onClick={() => void saveXlsx(fileName, [boxSheet(plan, result)])}
        >
          XLSX
        </button>
        <span className="text-muted" data-testid="boxes-say">
          {boxes.length === 1 ? "1 box" : `${boxes.length} boxes`}, {say.kg(sums.totalG / 1000)},{" "}
          {say.money(sums.price)} for postage and fees; {sums.sent} sent.
        </span>
      </div>
      <BoxLane
        plan={plan}
        result={result}
        boxes={boxes}
        line={line}
        chosenKey={chosen?.key}
        say={say}
        onChoose={choose}
      />
      {checks.length > 0 && (
        <div className="px-[18px] py-2">
          <CheckList checks={checks} plan={plan} result={result} withPlace />
        </div>
      )}
      <div className="grid grid-cols-1 gap-x-8 gap-y-5 px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
        <section aria-label="All boxes" className="min-w-0">
          {boxes.length === 0 ? (
            <Empty>
              No boxes yet. In Stops, choose “mail drop” for a stop’s food, or in Kit, mark an item as mailed ahead. The
              box then appears here with its mailing dates.
            </Empty>
          ) : (
            <Table<PlannedBox>
              label="Boxes"
              rows={boxes}
              idOf={({ key }) => key}
              chosen={chosen ? [chosen.key] : []}
              onChoose={choose}
              columns={[
                { id: "to", head: "to", names: true, cell: (box) => boxName(box, plan) },
                { id: "mass", head: "weight", right: true, cell: ({ totalG }) => say.kg(totalG / 1000) },
                { id: "price", head: "postage", right: true, from: 561, cell: ({ price }) => say.money(price) },
                { id: "send", head: "mail", cell: (box) => sendWords(box, say) },
                { id: "fetch", head: "you arrive", from: 861, cell: (box) => arrivalWords(box, say) },
                {
                  id: "chance",
                  head: "on time",
                  right: true,
                  cell: ({ chance }) => say.percent(100 * chance),
                },
                { id: "state", head: "status", cell: ({ row }) => stateWords(row, say) },
              ]}
            />
          )}
          <p className="mt-2 mb-0 max-w-[72ch] text-xs text-muted">
            Mailing dates give a 95 % chance that the box is there when you arrive, early or late. Transit times are
            estimates: trust the carrier and the post office over them.
          </p>
        </section>
        {chosen && <BoxPanel key={chosen.key} plan={plan} result={result} box={chosen} say={say} />}
      </div>
      <div className="px-[18px]">
        <Fold className="border-t border-rule py-2" titleClass="text-sm font-semibold" title="Bounce box">
          <Bounce plan={plan} result={result} say={say} />
        </Fold>
        <Fold
          className="border-t border-rule py-2"
          titleClass="text-sm font-semibold"
          title="Postage and carrier limits"
        >
          <div className="grid max-w-[420px] grid-cols-2 gap-x-5 gap-y-3 py-2">
            {(
              [
                ["mostParcelKg", "Heaviest parcel allowed"],
                ["parcelPrice", "Price beyond the table"],
              ] as const
            ).map(([path, label]) => (
              <RecordField
                key={path}
                of="resupply"
                path={path}
                label={label}
                record={plan.resupply}
                units={plan.trip.units}
                change={(text, recipe) => editPart("resupply", text, recipe)}
              />
            ))}
          </div>
          <Postage plan={plan} />
        </Fold>
        <Fold
          className="border-y border-rule py-2"
          titleClass="text-sm font-semibold"
          title="What can fly to the start"
        >
          <Flying plan={plan} result={result} say={say} />
        </Fold>
      </div>
    </div>
  );

  async function calendar(): Promise<void> {
    const { calendarOf } = await import("../../exports/calendar.ts");
    save(calendarOf(plan, result, ["boxes", "counters"]), fileName, "ics", "text/calendar");
  }
}

function sumsOf(boxes: readonly PlannedBox[]) {
  const sum = (of: (box: PlannedBox) => number): number => boxes.reduce((total, box) => total + of(box), 0);
  return {
    totalG: sum(({ totalG }) => totalG),
    price: sum(({ price }) => price),
    sent: sum(({ row }) => Number(row?.sentOn !== undefined)),
  };
}
