/** Step two: the file's waypoints by what they are, each and whole kinds changeable. */
import { useState } from "react";
import { unitsSchema, type OwnWord, type Units } from "@gepack/core";
import { remember, useSettings } from "../store/settings.ts";
import { Pick } from "../ui/Pick.tsx";
import { DataTable } from "../ui/DataTable.tsx";
import type { Column } from "../ui/Table.tsx";
import { quantity } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";
import { isFar, type FoundRow, type Taken } from "./found.ts";

const TAKEN: [Taken, string][] = [
  ["stop", "stop"],
  ["water", "water"],
  ["camp", "camp"],
  ["hazard", "hazard"],
  ["out", "skip"],
];
const WORDS: Record<FoundRow["sorted"]["kind"], string> = {
  stop: "stops",
  water: "water",
  camp: "camps",
  ford: "fords",
  hazard: "hazards",
  landmark: "passes and junctions",
  other: "not known",
};

const ONE: Record<FoundRow["sorted"]["kind"], string> = {
  ...WORDS,
  stop: "stop",
  camp: "camp",
  ford: "ford",
  hazard: "hazard",
  landmark: "pass or junction",
};

/** Words that known of more than one place, the commonest first. */
function wordsOf(rows: readonly FoundRow[]): [word: string, count: number][] {
  const counts = new Map<string, number>();
  for (const { sorted, point } of rows) {
    const word = sorted.word || point.symbol || point.type;
    if (word !== "") counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  return [...counts].filter(([, count]) => count > 1).sort((a, b) => b[1] - a[1]);
}

const matchedBy = ({ sorted, point }: FoundRow, word: string): boolean =>
  (sorted.word || point.symbol || point.type) === word;

/** All places of one word or symbol at once, and words of your own. */
function ByWord({ rows, onChange }: Props) {
  const own = useSettings((state) => state.ownWords);
  const [word, setWord] = useState("");
  const [typed, setTyped] = useState("");
  const [kind, setKind] = useState<OwnWord["kind"]>("water");
  const words = wordsOf(rows);
  const of = rows.filter((row) => matchedBy(row, word));
  return (
    <details className="my-2 text-sm">
      <summary className="cursor-pointer text-pine">By keyword or symbol, and your own keywords</summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        {words.length > 0 && (
          <>
            <Pick
              label="All places by keyword"
              value={word}
              options={[["", "choose"], ...words.map(([one, count]) => [one, `${one} (${count})`] as const)]}
              onPick={setWord}
            />
            <Pick
              label="import as"
              value={of.length > 0 && of.every((row) => row.taken === of[0]!.taken) ? of[0]!.taken : "mixed"}
              options={[["mixed", "mixed"] as const, ...TAKEN]}
              onPick={(taken) =>
                taken !== "mixed" &&
                onChange(rows.map((row) => (word !== "" && matchedBy(row, word) ? { ...row, taken } : row)))
              }
            />
          </>
        )}
        <label className="font-semibold">
          Your own keyword
          <input
            className="field mt-1 font-normal"
            value={typed}
            maxLength={40}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <Pick label="means" value={kind} options={KINDS} onPick={setKind} />
        <button
          className="btn"
          disabled={typed.trim() === ""}
          onClick={() => {
            remember("ownWords", [...own.filter((one) => one.word !== typed.trim()), { word: typed.trim(), kind }]);
            setTyped("");
          }}
        >
          Add keyword
        </button>
      </div>
      {own.length > 0 && (
        <ul className="m-0 mt-2 flex list-none flex-wrap gap-2 p-0" aria-label="Your own keywords">
          {own.map((one) => (
            <li key={one.word} className="rounded border border-rule px-2">
              “{one.word}” means {WORDS[one.kind]}{" "}
              <button
                aria-label={`Remove the keyword ${one.word}`}
                className="text-muted hover:text-danger"
                onClick={() =>
                  remember(
                    "ownWords",
                    own.filter((other) => other !== one),
                  )
                }
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
    </details>
  );
}

const KINDS = (["stop", "water", "camp", "ford", "hazard", "landmark"] as const).map(
  (one) => [one, WORDS[one]] as const,
);
const ORDER = ["stop", "water", "camp", "ford", "hazard", "landmark", "other"] as const;
/** So many rows stand open at once; more would push the next step out of sight. */
const FEW = 12;

interface Props {
  rows: readonly FoundRow[];
  units?: Units;
  onChange: (rows: FoundRow[]) => void;
}

export function Found({ rows, units = unitsSchema.parse({}), onChange }: Props) {
  const [chosen, setChosen] = useState<string>();
  if (rows.length === 0)
    return (
      <p className="m-0 text-sm text-muted">
        This file has no waypoints. Add towns, water and camps later in Trail, one by one or by pasting a table.
      </p>
    );
  const kinds = ORDER.filter((kind) => rows.some((row) => row.sorted.kind === kind));
  const far = rows.filter(isFar).length;
  const leftOut = rows.filter((row) => !isFar(row) && row.taken === "out").length;
  const isWithoutStops = leftOut > 0 && !rows.some((row) => row.taken === "stop");
  const change = (which: (row: FoundRow) => boolean, taken: Taken): void =>
    onChange(rows.map((row) => (which(row) ? { ...row, taken, isLeftOut: taken === "out" } : row)));
  const columns: Column<FoundRow>[] = [
    {
      id: "name",
      head: "name",
      names: true,
      sort: (row) => row.point.name,
      cell: (row) => (
        <>
          {row.point.name}
          {row.point.description !== "" && (
            <span className="block max-w-[46ch] text-xs font-normal text-muted">{row.point.description}</span>
          )}
        </>
      ),
    },
    {
      id: "taken",
      head: "import as",
      sort: (row) => row.taken,
      cell: (row) => (
        <Pick
          bare
          label={`${row.point.name}, ${WORDS[row.sorted.kind]}: import as`}
          value={row.taken}
          options={TAKEN}
          onPick={(taken) => change((other) => other.id === row.id, taken)}
        />
      ),
    },
    {
      id: "why",
      head: "keyword",
      sort: (row) => row.sorted.word,
      cell: (row) => <span className="text-muted">{row.sorted.word === "" ? "no match" : `“${row.sorted.word}”`}</span>,
    },
    {
      id: "at",
      head: "at",
      right: true,
      sort: (row) => row.located.trackM,
      cell: (row) => quantity("distance", row.located.trackM, units),
    },
    {
      id: "off",
      head: "off the track",
      right: true,
      sort: (row) => row.located.offM,
      cell: (row) => quantity("distance", row.located.offM, units),
    },
  ];
  return (
    <>
      {isWithoutStops && (
        <p className="mt-0 mb-2 max-w-[72ch] text-sm" data-testid="no-stops">
          No names look like resupply stops, and {counted(leftOut, "place is", "places are")} left out. Mark the ones
          with food, a post office or a bed, by kind or one by one.
        </p>
      )}
      <ul className="m-0 mb-3 flex list-none flex-wrap gap-x-6 gap-y-2 p-0 text-sm">
        {kinds.map((kind) => {
          const of = rows.filter((row) => row.sorted.kind === kind && !isFar(row));
          if (of.length === 0) return null;
          const same = of.every((row) => row.taken === of[0]!.taken);
          return (
            <li key={kind}>
              <b className="figure">{of.length}</b> {of.length === 1 ? ONE[kind] : WORDS[kind]}{" "}
              <Pick
                bare
                label={`All ${WORDS[kind]}: import as`}
                value={same ? of[0]!.taken : "mixed"}
                options={[...(same ? [] : ([["mixed", "mixed"]] as [string, string][])), ...TAKEN]}
                onPick={(taken) =>
                  taken !== "mixed" && change((row) => row.sorted.kind === kind && !isFar(row), taken as Taken)
                }
              />
            </li>
          );
        })}
      </ul>
      <ByWord rows={rows} onChange={onChange} />
      {far > 0 && (
        <p className="my-1 text-sm text-muted">
          {far} {far === 1 ? "is" : "are"} more than 5 km off the track. {far === 1 ? "It is" : "They are"} left out
          unless you include {far === 1 ? "it" : "them"}.
        </p>
      )}
      <details open={rows.length <= FEW} data-testid="found">
        <summary className="my-2 cursor-pointer text-sm font-bold text-pine">
          {rows.length === 1 ? "The place" : `All ${rows.length} places`}, by matched keyword
        </summary>
        <DataTable
          label="Places along the track"
          find="Find a place"
          empty=""
          rows={rows}
          columns={columns}
          idOf={(row) => row.id}
          domId={(row) => `found-${row.id.replace(" ", "-")}`}
          textOf={(row) => `${row.point.name} ${row.point.description} ${row.sorted.kind} ${row.sorted.word}`}
          chosen={chosen}
          onChoose={setChosen}
          onRemove={(ids) => change((row) => ids.includes(row.id), "out")}
        />
      </details>
    </>
  );
}
