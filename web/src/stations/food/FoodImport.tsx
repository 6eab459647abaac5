/** Foods out of a CSV or a spreadsheet, and into one. */
import { useCallback, useState } from "react";
import { FileDown } from "lucide-react";
import {
  FOOD_COLUMNS,
  foodTableRows,
  type Basis,
  type Food,
  type FoodColumn,
  type FoodTable,
  type Plan,
} from "@gepack/core";
import { addRows } from "../../edit/rows.ts";
import { asNumber, saveCsv, saveXlsx, type Sheet } from "../../exports/sheets.ts";
import { TableChoices, type TableTold } from "../../reading/TableChoices.tsx";
import { calculator } from "../../store/trail.ts";
import { Pick } from "../../ui/Pick.tsx";
import { TableImport } from "../../ui/TableImport.tsx";
import { FOOD_COLUMN_WORDS } from "../../words/food.ts";
import type { OfSheets } from "../../worker/fileJobs.ts";

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
  const [basis, setBasis] = useState<Basis>();
  const [told, setTold] = useState<TableTold<FoodColumn>>({});
  const read = useCallback(
    (of: File) => calculator().readFoods({ file: of, name: of.name, basis, ...told }),
    [basis, told],
  );
  return (
    <>
      <TableImport<FoodTable & OfSheets>
        file={file}
        onFile={(next) => {
          setBasis(undefined);
          setTold({});
          onFile(next);
        }}
        read={read}
        testId="food"
        countOf={({ foods }) => (foods.length > 0 ? countOf(foods) : undefined)}
        sampleOf={({ foods }) =>
          `${foods
            .slice(0, 3)
            .map(({ name, energyKcal }) => `${name} ${Math.round(energyKcal)} kcal`)
            .join(", ")}${foods.length > 3 ? ", …" : ""} per 100 g`
        }
        onTake={({ foods }) => addRows("foods", `Import ${countOf(foods)}`, foods)}
      >
        {(table) => (
          <>
            <Pick label="Figures are" value={table.basis} options={BASES} onPick={setBasis} />
            <TableChoices table={table} keys={FOOD_COLUMNS} words={FOOD_COLUMN_WORDS} told={told} onTold={setTold} />
          </>
        )}
      </TableImport>
      <button className="btn" onClick={() => saveCsv("pantry", sheetOf(plan))}>
        <FileDown size={15} aria-hidden="true" /> CSV
      </button>
      <button className="btn" onClick={() => void saveXlsx("pantry", [sheetOf(plan)])}>
        <FileDown size={15} aria-hidden="true" /> XLSX
      </button>
    </>
  );
}

const countOf = ({ length }: readonly Food[]): string => (length === 1 ? "1 food" : `${length} foods`);

/** Figures as a spreadsheet counts with them. */
function sheetOf({ foods }: Plan): Sheet {
  const [heads, ...rows] = foodTableRows(foods.filter(({ parts }) => parts.length === 0));
  return { name: "Foods", heads: heads!, rows: rows.map((row) => row.map(asNumber)) };
}
