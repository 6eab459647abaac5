/** What is asked of a table that was read: which sheet, how it writes decimals, and which column is what. */
import { Pick } from "../ui/Pick.tsx";

export interface TableTold<Key extends string> {
  columns?: Partial<Record<Key, number>> | undefined;
  /** The comma is its decimal sign. */
  comma?: boolean | undefined;
  sheet?: number | undefined;
}

interface Read<Key extends string> {
  heads: readonly string[];
  columns: Partial<Record<Key, number>>;
  asksSign?: boolean;
  sheets: readonly string[];
  sheet: number;
}

interface Props<Key extends string> {
  table: Read<Key>;
  keys: readonly Key[];
  words: Readonly<Record<Key, string>>;
  told: TableTold<Key>;
  onTold: (told: TableTold<Key>) => void;
}

const MOST_COLUMNS = 40;

export function TableChoices<Key extends string>({ table, keys, words, told, onTold }: Props<Key>) {
  const { heads, columns, asksSign, sheets, sheet } = table;
  const { comma } = told;
  const options: [string, string][] = [["", "not read"], ...keys.map((key): [string, string] => [key, words[key]])];
  const keyOf = (at: number): string => keys.find((key) => columns[key] === at) ?? "";
  const set = (at: number, to: string): void => {
    const next = { ...columns };
    for (const key of keys) if (next[key] === at || key === to) delete next[key];
    if (to !== "") next[to as Key] = at;
    onTold({ ...told, columns: next });
  };
  return (
    <>
      {sheets.length > 1 && (
        <Pick
          label="Sheet"
          value={String(sheet)}
          options={sheets.map((name, i) => [String(i), name] as const)}
          onPick={(one) => onTold({ sheet: Number(one) })}
        />
      )}
      {/* Numbers such as 1.250, and nothing in the table tells what the sign parts. */}
      {(asksSign || comma !== undefined) && (
        <Pick
          label="How this table writes decimals"
          value={comma === undefined ? "" : comma ? "comma" : "point"}
          options={[
            ["", "it doesn’t say: check the figures"],
            ["point", "with a point: 1.250 is one and a quarter"],
            ["comma", "with a comma: 1.250 is over a thousand"],
          ]}
          onPick={(sign) => onTold({ ...told, comma: sign === "" ? undefined : sign === "comma" })}
        />
      )}
      {heads.length > 0 && (
        <fieldset className="is-form m-0 flex w-full flex-wrap gap-2 border-0 p-0">
          <legend className="mb-1 font-semibold">Columns</legend>
          {heads.slice(0, MOST_COLUMNS).map((head, at) => (
            <Pick
              key={at}
              label={head.trim().slice(0, 40) || `column ${at + 1}`}
              value={keyOf(at)}
              options={options}
              onPick={(key) => set(at, key)}
            />
          ))}
        </fieldset>
      )}
    </>
  );
}
