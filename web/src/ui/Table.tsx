/**
 * A table of rows with columns as descriptors: heads, cells, a row that is chosen, keys. Fields in cells read
 * as text until they are pointed at or focused: a table of boxes is a form.
 */
import type { KeyboardEvent, MouseEvent, ReactNode } from "react";

export interface Column<Row> {
  id: string;
  head: ReactNode;
  /** The head is heard and not shown: its cells say enough to the eye. */
  unseen?: boolean;
  cell: (row: Row) => ReactNode;
  /** Numbers stand at the right. */
  right?: boolean;
  /** The cell that names its row. */
  names?: boolean;
  /** What the column is sorted by, where it can be. */
  sort?: (row: Row) => number | string;
  /** Left out on screens narrower than this, pixels. */
  from?: 561 | 861;
  /** Takes the width that is left. */
  wide?: boolean;
  /** Never so narrow that every word of it stands in a line of its own; what finds no room is scrolled to. */
  roomy?: boolean;
  /** Columns that the head stretches over. */
  span?: number;
}

export interface Sorted {
  id: string;
  descending: boolean;
}

export interface TableProps<Row> {
  label: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  idOf: (row: Row) => string;
  /** Ids of the rows that are chosen; the first carries the keyboard. */
  chosen?: readonly string[];
  onChoose?: (id: string, how: { add: boolean; to: boolean }) => void;
  onDelete?: () => void;
  /** Ids of rows in the page, for whoever scrolls to one. */
  domId?: (row: Row) => string;
  sorted?: Sorted | undefined;
  onSort?: (id: string) => void;
  /** Rows before and after those given, as the heights that stand in for them. */
  before?: { count: number; heightPx: number };
  after?: { count: number; heightPx: number };
}

const HIDDEN = { 561: "max-[560px]:hidden", 861: "max-[860px]:hidden" } as const;

function classOf<Row>(column: Column<Row>): string {
  return `${column.right ? "figure text-right whitespace-nowrap" : "text-left"} ${column.from ? HIDDEN[column.from] : ""} ${column.wide ? "w-full" : ""} ${column.roomy ? "min-w-[130px]" : ""}`;
}

export function Table<Row>(props: TableProps<Row>) {
  const { label, columns, rows, idOf, chosen = [], onChoose, onDelete, domId, sorted, onSort, before, after } = props;
  const total = (before?.count ?? 0) + rows.length + (after?.count ?? 0);
  const focusRow = (id: string | undefined): void => {
    const row = rows.find((candidate) => idOf(candidate) === id);
    if (row && domId) document.getElementById(domId(row))?.focus();
  };
  const keys = (event: KeyboardEvent): void => {
    if (!(event.target instanceof HTMLElement) || event.target.matches("input, select, textarea")) return;
    const at = rows.findIndex((row) => idOf(row) === chosen[0]);
    const by = { ArrowDown: 1, ArrowUp: -1, Home: -Infinity, End: Infinity }[event.key];
    if (by !== undefined && onChoose && rows.length > 0) {
      event.preventDefault();
      const next = idOf(rows[Math.max(0, Math.min(rows.length - 1, at + by))]!);
      onChoose(next, { add: false, to: event.shiftKey });
      focusRow(next);
    } else if (event.key === "Delete" && onDelete && chosen.length > 0) {
      event.preventDefault();
      onDelete();
    }
  };
  return (
    <table
      className="data-table w-full border-collapse text-sm"
      onKeyDown={keys}
      {...(before || after ? { "aria-rowcount": total + 1 } : {})}
    >
      <caption className="sr-only">{label}</caption>
      <thead>
        <tr className="border-b border-rule bg-paper">
          {columns.map((column, i) =>
            i > 0 && columns[i - 1]!.span === 2 ? null : (
              <Head key={column.id} column={column} sorted={sorted} onSort={onSort} />
            ),
          )}
        </tr>
      </thead>
      <tbody>
        {before && before.heightPx > 0 && <Gap columns={columns.length} heightPx={before.heightPx} />}
        {rows.map((row, i) => {
          const id = idOf(row);
          const here = chosen.includes(id);
          const choose = (event: MouseEvent): void =>
            onChoose?.(id, { add: event.ctrlKey || event.metaKey, to: event.shiftKey });
          return (
            <tr
              key={id}
              id={domId?.(row)}
              tabIndex={onChoose ? (here || (chosen.length === 0 && i === 0) ? 0 : -1) : undefined}
              aria-selected={onChoose ? here : undefined}
              aria-rowindex={before ? before.count + i + 2 : undefined}
              onClick={onChoose && choose}
              className={`border-b border-rule ${onChoose ? "cursor-pointer" : ""} ${here ? "bg-pine-wash" : onChoose ? "hover:bg-paper" : ""}`}
            >
              {columns.map((column) =>
                column.names ? (
                  <th key={column.id} scope="row" className={`font-normal ${classOf(column)}`}>
                    {column.cell(row)}
                  </th>
                ) : (
                  <td key={column.id} className={classOf(column)}>
                    {column.cell(row)}
                  </td>
                ),
              )}
            </tr>
          );
        })}
        {after && after.heightPx > 0 && <Gap columns={columns.length} heightPx={after.heightPx} />}
      </tbody>
    </table>
  );
}

function Gap({ columns, heightPx }: { columns: number; heightPx: number }) {
  return (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height: heightPx, padding: 0 }} />
    </tr>
  );
}

function Head<Row>({
  column,
  sorted,
  onSort,
}: {
  column: Column<Row>;
  sorted: Sorted | undefined;
  onSort: ((id: string) => void) | undefined;
}) {
  const here = sorted?.id === column.id;
  const order = here ? (sorted.descending ? "descending" : "ascending") : "none";
  return (
    <th
      scope="col"
      colSpan={column.span}
      aria-sort={column.sort && onSort ? order : undefined}
      className={`py-1.5 text-xs font-medium whitespace-nowrap text-muted ${classOf(column)}`}
    >
      {column.sort && onSort ? (
        <button className="hover:text-ink hover:underline" onClick={() => onSort(column.id)}>
          {column.head}
          {here && <span aria-hidden="true"> {sorted.descending ? "▾" : "▴"}</span>}
        </button>
      ) : column.unseen ? (
        <span className="sr-only">{column.head}</span>
      ) : (
        column.head
      )}
    </th>
  );
}
