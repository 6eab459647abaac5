/**
 * A table that is worked in: found, sorted, edited in place, rows chosen by pointer and keys (with Ctrl and
 * Shift several), removed with Delete, pasted from a spreadsheet; of thousands of rows only those in sight
 * are drawn.
 */
import {
  columnFilteringFeature,
  createFilteredRowModel,
  createSortedRowModel,
  filterFns,
  globalFilteringFeature,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
  type ColumnDef,
  type SortingState,
} from "@tanstack/react-table";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import Papa from "papaparse";
import {
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type ReactNode,
  type RefObject,
} from "react";
import { Table, type Column, type TableProps } from "./Table.tsx";

const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns,
  filterFns,
});

/** Below this many rows all are drawn. */
const MANY = 60;
const ROW_PX = 31;

interface Props<Row> {
  label: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  idOf: (row: Row) => string;
  /** What finding looks through. */
  textOf: (row: Row) => string;
  find: string;
  chosen?: string | undefined;
  /** A row that is chosen elsewhere is not scrolled to. */
  still?: boolean;
  onChoose: (id: string) => void;
  onRemove: (ids: readonly string[]) => void;
  /** Rows pasted from a spreadsheet: cells as text. */
  onPaste?: (cells: string[][]) => void;
  domId: (row: Row) => string;
  /** Beside the search: buttons. */
  tools?: ReactNode;
  /** Where there are no rows at all. */
  empty: ReactNode;
}

export function DataTable<Row extends object>(props: Props<Row>) {
  const { label, columns, rows, idOf, textOf, find, chosen, still, onChoose, onRemove, onPaste, domId, tools, empty } =
    props;
  const [sorting, setSorting] = useState<SortingState>([]);
  const [text, setText] = useState("");
  const [several, setSeveral] = useState<readonly string[]>([]);
  const definitions = useMemo(
    (): ColumnDef<typeof features, Row>[] => [
      { id: "text", accessorFn: textOf, enableSorting: false },
      ...columns.map((column) => ({
        id: column.id,
        accessorFn: column.sort ?? (() => ""),
        enableSorting: column.sort !== undefined,
        enableGlobalFilter: false,
        sortFn: "basic" as const,
      })),
    ],
    [columns, textOf],
  );
  const data = useMemo(() => [...rows], [rows]);
  const table = useTable({
    features,
    columns: definitions,
    data,
    getRowId: idOf,
    state: { sorting, globalFilter: text },
    onSortingChange: setSorting,
    globalFilterFn: "includesString",
  });
  const shown = table.getRowModel().rows.map((row) => row.original);
  const ids = shown.map(idOf);
  const selected = chosen === undefined ? several : [chosen, ...several.filter((id) => id !== chosen)];

  const choose = (id: string, { add, to }: { add: boolean; to: boolean }): void => {
    if (to && chosen !== undefined) {
      const [a, b] = [ids.indexOf(chosen), ids.indexOf(id)].sort((x, y) => x - y) as [number, number];
      setSeveral(ids.slice(Math.max(0, a), b + 1));
    } else if (add) setSeveral(several.includes(id) ? several.filter((other) => other !== id) : [...several, id]);
    else setSeveral([]);
    if (!to && !add) onChoose(id);
  };
  const remove = (): void => {
    onRemove(selected.filter((id) => ids.includes(id)));
    setSeveral([]);
  };
  const paste = (event: ClipboardEvent): void => {
    if (!onPaste || (event.target instanceof HTMLElement && event.target.matches("input, textarea"))) return;
    const { data: cells } = Papa.parse<string[]>(event.clipboardData.getData("text/plain"), { delimiter: "\t" });
    const filled = cells.filter((row) => row.some((cell) => cell.trim() !== ""));
    if (filled.length === 0) return;
    event.preventDefault();
    onPaste(filled);
  };
  const sort = (id: string): void => {
    const now = sorting[0];
    setSorting(now?.id !== id ? [{ id, desc: false }] : now.desc ? [] : [{ id, desc: true }]);
  };
  const frame = useRef<HTMLDivElement>(null);
  const view = useVirtual(shown.length, useTopPx(frame, shown.length > MANY));
  useReveal(chosen === undefined || still ? -1 : ids.indexOf(chosen), chosen, view.scrollTo);

  return (
    <div onPaste={paste}>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {tools}
        {rows.length > 8 && (
          <input
            className="field max-w-[220px] text-sm!"
            type="search"
            placeholder={find}
            aria-label={find}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
        {several.length > 1 && (
          <button className="btn text-danger" onClick={remove}>
            Remove {selected.length} selected
          </button>
        )}
        {text !== "" && <span className="text-sm text-muted">{`${shown.length} of ${rows.length}`}</span>}
      </div>
      {rows.length === 0 && empty}
      <div ref={frame} className="relative overflow-x-auto">
        <Table
          label={label}
          columns={columns}
          rows={shown.slice(view.from, view.to)}
          idOf={idOf}
          chosen={selected}
          onChoose={choose}
          onDelete={remove}
          domId={domId}
          sorted={sorting[0] && { id: sorting[0].id, descending: sorting[0].desc }}
          onSort={sort}
          {...view.gaps}
        />
      </div>
    </div>
  );
}

/** Where an element starts on the page, kept up as what stands above it grows and shrinks; where it is wanted. */
function useTopPx(ref: RefObject<HTMLElement | null>, isWanted: boolean): number {
  const [topPx, setTopPx] = useState(0);
  useLayoutEffect(() => {
    if (!isWanted) return;
    const measure = (): void => setTopPx(Math.round((ref.current?.getBoundingClientRect().top ?? 0) + window.scrollY));
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(document.body);
    return () => observer.disconnect();
  }, [ref, isWanted]);
  return topPx;
}

interface View {
  from: number;
  to: number;
  gaps?: Pick<TableProps<never>, "before" | "after">;
  scrollTo?: (index: number) => void;
}

/** Which rows are in sight, and the heights that stand in for the others. */
function useVirtual(count: number, topPx: number): View {
  const many = count > MANY;
  const virtualizer = useWindowVirtualizer({
    count,
    estimateSize: () => ROW_PX,
    overscan: 12,
    scrollMargin: topPx,
    enabled: many,
  });
  if (!many) return { from: 0, to: count };
  const scrollTo = (index: number): void => virtualizer.scrollToIndex(index, { align: "auto" });
  const items = virtualizer.getVirtualItems();
  const first = items[0];
  const last = items.at(-1);
  if (!first || !last) return { from: 0, to: MANY, scrollTo };
  return {
    from: first.index,
    to: last.index + 1,
    scrollTo,
    gaps: {
      before: { count: first.index, heightPx: first.start - topPx },
      after: { count: count - last.index - 1, heightPx: virtualizer.getTotalSize() - (last.end - topPx) },
    },
  };
}

/** Brings the chosen row into sight when another is chosen elsewhere. */
function useReveal(index: number, chosen: string | undefined, scrollTo: ((index: number) => void) | undefined): void {
  const reveal = useRef({ index, scrollTo });
  useEffect(() => {
    reveal.current = { index, scrollTo };
  });
  useEffect(() => {
    if (chosen === undefined || reveal.current.index < 0) return;
    if (reveal.current.scrollTo) reveal.current.scrollTo(reveal.current.index);
    else
      document
        .querySelector(`[data-row="${CSS.escape(chosen)}"], #place-${CSS.escape(chosen)}`)
        ?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
}
