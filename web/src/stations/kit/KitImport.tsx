/** Kit out of a table with anybody's columns, and into one. */
import { useCallback, useState } from "react";
import { corrected, Understood, type Corrections } from "../../reading/Understood.tsx";
import { FileDown } from "lucide-react";
import { KIT_COLUMNS, kitTableRows, walkEnds, type KitColumn, type KitTable, type Plan } from "@gepack/core";
import { importKit } from "../../edit/kit.ts";
import { saveCsv, saveXlsx, type Sheet } from "../../exports/sheets.ts";
import { calculator } from "../../store/trail.ts";
import { DecimalSign } from "../../reading/DecimalSign.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { TableImport } from "../../ui/TableImport.tsx";
import { counted } from "../../words/counted.ts";
import { COLUMN_WORDS } from "../../words/kit.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  hikerId: string;
  /** Chosen or pasted, and looked at until it is taken. */
  file: File | undefined;
  onFile: (file: File | undefined) => void;
}

export function KitImport({ plan, hikerId, file, onFile }: Props) {
  const say = sayIn(plan);
  const [columns, setColumns] = useState<KitTable["columns"]>();
  const [comma, setComma] = useState<boolean>();
  const [corrections, setCorrections] = useState<Corrections>(new Map());
  const [along, setAlong] = useState(true);
  const [replaces, setReplaces] = useState(false);
  const { hikers } = plan;
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const read = useCallback(
    (of: File) =>
      calculator().readKit({
        file: of,
        name: of.name,
        hikerId,
        hikers,
        fromStopId: firstId,
        toStopId: lastId,
        columns,
        comma,
      }),
    [hikerId, hikers, firstId, lastId, columns, comma],
  );
  const sheet = (): Sheet => {
    const [heads, ...rows] = kitTableRows(plan);
    return { name: "Kit", heads: heads!.map(String), rows };
  };
  return (
    <>
      <TableImport<KitTable>
        file={file}
        onFile={(next) => {
          onFile(next);
          setColumns(undefined);
          setComma(undefined);
        }}
        read={read}
        testId="kit"
        countOf={({ pieces }) => (pieces.length > 0 ? countOf(pieces) : undefined)}
        sampleOf={({ pieces }) =>
          `${pieces
            .slice(0, 3)
            .map(({ name, massG }) => `${name} ${say.g(massG)}`)
            .join(
              ", ",
            )}${pieces.length > 3 ? ", …" : ""}, ${say.g(pieces.reduce((sum, { massG, quantity }) => sum + massG * quantity, 0))} in all`
        }
        onTake={({ pieces }) => {
          const all = corrected(pieces, corrections);
          return importKit(along ? all : all.map((piece) => ({ ...piece, spans: [] })), replaces);
        }}
      >
        {(table) => (
          <>
            <Understood
              pieces={corrected(table.pieces, corrections)}
              units={plan.trip.units}
              onChange={(piece) => setCorrections((now) => new Map(now).set(piece.id, piece))}
            />
            {(table.asksSign || comma !== undefined) && <DecimalSign comma={comma} onComma={setComma} />}
            {table.heads.length > 0 && <Mapping table={table} onColumns={setColumns} />}
            <Pick
              label="Imported items go"
              value={along ? "along" : "shelf"}
              options={[
                ["along", "on this hike"],
                ["shelf", "on the shelf"],
              ]}
              onPick={(where) => setAlong(where === "along")}
            />
            {plan.kit.length > 0 && (
              <Pick
                label="Current kit"
                value={replaces ? "goes" : "stays"}
                options={[
                  ["stays", "keep it"],
                  ["goes", "replace it, for the owners in this list"],
                ]}
                onPick={(what) => setReplaces(what === "goes")}
              />
            )}
          </>
        )}
      </TableImport>
      <button className="btn" onClick={() => saveCsv("kit", sheet())}>
        <FileDown size={15} aria-hidden="true" /> CSV
      </button>
      <button className="btn" onClick={() => void saveXlsx("kit", [sheet()])}>
        <FileDown size={15} aria-hidden="true" /> XLSX
      </button>
    </>
  );
}

/** Which column is what: as their heads say, until somebody knows better. */
function Mapping({ table, onColumns }: { table: KitTable; onColumns: (columns: KitTable["columns"]) => void }) {
  const { heads, columns } = table;
  const options: [string, string][] = [
    ["", "not read"],
    ...KIT_COLUMNS.map((key): [string, string] => [key, COLUMN_WORDS[key]]),
  ];
  const keyOf = (at: number): KitColumn | "" => KIT_COLUMNS.find((key) => columns[key] === at) ?? "";
  const set = (at: number, key: string): void => {
    const next = { ...columns };
    for (const one of KIT_COLUMNS) if (next[one] === at || one === key) delete next[one];
    if (key !== "") next[key as KitColumn] = at;
    onColumns(next);
  };
  return (
    <fieldset className="is-form m-0 flex w-full flex-wrap gap-2 border-0 p-0">
      <legend className="mb-1 font-semibold">Columns</legend>
      {heads.slice(0, MOST_COLUMNS).map((head, at) => (
        <Pick
          key={at}
          label={head.trim().slice(0, 40) || `column ${at + 1}`}
          value={keyOf(at) as string}
          options={options}
          onPick={(key) => set(at, key)}
        />
      ))}
    </fieldset>
  );
}

const MOST_COLUMNS = 40;

const countOf = ({ length }: readonly unknown[]): string => counted(length, "item");
