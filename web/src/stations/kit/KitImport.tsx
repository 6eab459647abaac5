/** Kit out of a table with anybody's columns, and into one. */
import { useCallback, useState } from "react";
import { FileDown } from "lucide-react";
import { kitTableRows, walkEnds, type KitTable, type Piece, type Plan } from "@gepack/core";
import { addRows } from "../../edit/rows.ts";
import { saveCsv, saveXlsx, type Sheet } from "../../frame/sheets.ts";
import { calculator } from "../../store/document.ts";
import { TableImport } from "../../ui/TableImport.tsx";
import { sayIn } from "../../words/say.ts";

export function KitImport({ plan, hikerId }: { plan: Plan; hikerId: string }) {
  const say = sayIn(plan);
  const [file, setFile] = useState<File>();
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const read = useCallback(
    (of: File) => calculator().readKit({ file: of, name: of.name, hikerId, fromStopId: firstId, toStopId: lastId }),
    [hikerId, firstId, lastId],
  );
  const sheet = (): Sheet => {
    const [heads, ...rows] = kitTableRows(plan);
    return { name: "Kit", heads: heads!.map(String), rows };
  };
  return (
    <>
      <TableImport<KitTable>
        file={file}
        onFile={setFile}
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
        onTake={({ pieces }) => addRows("kit", `Import ${countOf(pieces)}`, pieces)}
      />
      <button className="btn" onClick={() => saveCsv("kit", sheet())}>
        <FileDown size={15} aria-hidden="true" /> CSV
      </button>
      <button className="btn" onClick={() => void saveXlsx("kit", [sheet()])}>
        <FileDown size={15} aria-hidden="true" /> XLSX
      </button>
    </>
  );
}

const countOf = ({ length }: readonly Piece[]): string => (length === 1 ? "1 piece" : `${length} pieces`);
