/** Foods out of a CSV or a spreadsheet, and into one: what is read is shown, with what is not, before it is taken. */
import { useEffect, useRef, useState } from "react";
import { FileDown, FileUp } from "lucide-react";
import { foodTableRows, type Basis, type Food, type FoodTable, type Plan } from "@gepack/core";
import { addRows } from "../../edit/rows.ts";
import { saveCsv, saveXlsx, type Sheet } from "../../frame/sheets.ts";
import { calculator } from "../../store/document.ts";
import { report } from "../../store/notices.ts";
import { Pick } from "../../ui/Pick.tsx";

const BASES: readonly (readonly [Basis, string])[] = [
  ["per-100", "per 100 g"],
  ["per-serving", "per serving"],
  ["per-pack", "per pack"],
];

interface Props {
  plan: Plan;
  /** What is offered: a file, or rows that were pasted. */
  file: File | undefined;
  onFile: (file: File | undefined) => void;
}

export function FoodImport({ plan, file, onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [basis, setBasis] = useState<Basis>();
  const [read, setRead] = useState<{ of: File; table: FoodTable }>();
  const table = read !== undefined && read.of === file ? read.table : undefined;
  useEffect(() => {
    if (!file) return;
    let isOver = false;
    calculator()
      .readFoods({ file, name: file.name, ...(basis ? { basis } : {}) })
      .then((found) => void (isOver || setRead({ of: file, table: found })), report);
    return () => {
      isOver = true;
    };
  }, [file, basis]);
  const offer = (next: File | undefined): void => {
    setBasis(undefined);
    onFile(next);
  };
  return (
    <>
      <button className="btn" onClick={() => input.current?.click()}>
        <FileUp size={15} aria-hidden="true" /> Import
      </button>
      <button className="btn" onClick={() => saveCsv("pantry", sheetOf(plan))}>
        <FileDown size={15} aria-hidden="true" /> CSV
      </button>
      <button className="btn" onClick={() => void saveXlsx("pantry", [sheetOf(plan)])}>
        <FileDown size={15} aria-hidden="true" /> XLSX
      </button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".csv,.tsv,.txt,.xlsx"
        data-testid="food-file"
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          if (chosen) offer(chosen);
          event.target.value = "";
        }}
      />
      {table && file && (
        <div className="w-full rounded border border-rule bg-pine-wash p-2 text-sm" data-testid="food-preview">
          <p className="m-0 mb-1">
            <b>{file.name}</b>: {countOf(table.foods)}
            {table.foods.length > 0 &&
              `, ${table.foods
                .slice(0, 3)
                .map(({ name, energyKcal }) => `${name} ${Math.round(energyKcal)} kcal`)
                .join(", ")}${table.foods.length > 3 ? ", …" : ""} per 100 g`}
            .
          </p>
          <ul className="m-0 mb-1 pl-5 text-danger">
            {table.problems.map(({ place, sentence }) => (
              <li key={`${place} ${sentence}`}>
                {place}: {sentence}
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap items-end gap-3">
            <Pick label="Its figures are" value={table.basis} options={BASES} onPick={setBasis} />
            <button
              className="btn btn-strong"
              disabled={table.foods.length === 0}
              onClick={() => {
                addRows("foods", `Import ${countOf(table.foods)}`, table.foods);
                offer(undefined);
              }}
            >
              Take {countOf(table.foods)}
            </button>
            <button className="btn" onClick={() => offer(undefined)}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </>
  );
}

const countOf = ({ length }: readonly Food[]): string => (length === 1 ? "1 food" : `${length} foods`);

/** Figures as a spreadsheet counts with them. */
function sheetOf({ foods }: Plan): Sheet {
  const [heads, ...rows] = foodTableRows(foods.filter(({ parts }) => parts.length === 0));
  return { name: "Foods", heads: heads!, rows: rows.map((row) => row.map(asNumber)) };
}

function asNumber(cell: string): string | number {
  return cell !== "" && Number.isFinite(Number(cell)) ? Number(cell) : cell;
}
