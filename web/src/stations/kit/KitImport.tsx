/** Kit out of a table with anybody's columns, and into one. */
import { useCallback, useState } from "react";
import { corrected, Understood, type Corrections } from "../../reading/Understood.tsx";
import { FileDown } from "lucide-react";
import { KIT_COLUMNS, kitTableRows, walkEnds, type KitColumn, type KitTable, type Plan } from "@gepack/core";
import { importKit } from "../../edit/kit.ts";
import { saveCsv, saveXlsx, type Sheet } from "../../exports/sheets.ts";
import type { OfSheets } from "../../worker/fileJobs.ts";
import { calculator } from "../../store/trail.ts";
import { TableChoices, type TableTold } from "../../reading/TableChoices.tsx";
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
  const [told, setTold] = useState<TableTold<KitColumn>>({});
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
        ...told,
      }),
    [hikerId, hikers, firstId, lastId, told],
  );
  const sheet = (): Sheet => {
    const [heads, ...rows] = kitTableRows(plan);
    return { name: "Kit", heads: heads!.map(String), rows };
  };
  return (
    <>
      <TableImport<KitTable & OfSheets>
        file={file}
        onFile={(next) => {
          onFile(next);
          setTold({});
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
            <TableChoices table={table} keys={KIT_COLUMNS} words={COLUMN_WORDS} told={told} onTold={setTold} />
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

const countOf = ({ length }: readonly unknown[]): string => counted(length, "item");
