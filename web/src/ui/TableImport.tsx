/** Rows out of a CSV or a spreadsheet: what is read is shown, with what is not, before it is taken. */
import { useEffect, useState, type ReactNode } from "react";
import { FileUp } from "lucide-react";
import type { Problem } from "@gepack/core";
import { report } from "../store/notices.ts";
import { useDraft } from "../store/drafts.ts";

interface Props<Table extends { problems: readonly Problem[] }> {
  file: File | undefined;
  onFile: (file: File | undefined) => void;
  /** Kept as it is while nothing in it changes: a new one reads again. */
  read: (file: File) => Promise<Table>;
  /** How many, in words; undefined where there is nothing to take. */
  countOf: (table: Table) => string | undefined;
  /** The first of them, as a hiker would know them. */
  sampleOf: (table: Table) => string;
  /** Answers whether it was stored: until then what was read stays. */
  onTake: (table: Table) => Promise<boolean>;
  testId: string;
  /** What is asked besides. */
  children?: (table: Table) => ReactNode;
}

export function TableImport<Table extends { problems: readonly Problem[] }>(props: Props<Table>) {
  const { file, onFile, read, countOf, sampleOf, onTake, testId, children } = props;
  const [found, setFound] = useState<{ of: File; table: Table }>();
  const table = found !== undefined && found.of === file ? found.table : undefined;
  useEffect(() => {
    if (!file) return;
    let isOver = false;
    read(file).then((next) => void (isOver || setFound({ of: file, table: next })), report);
    return () => {
      isOver = true;
    };
  }, [file, read]);
  const count = table && countOf(table);
  useDraft(file !== undefined);
  return (
    <>
      <label className="btn cursor-pointer focus-within:outline-2 focus-within:outline-pine">
        <FileUp size={15} aria-hidden="true" /> Import
        <input
          type="file"
          className="sr-only"
          accept=".csv,.tsv,.txt,.xlsx"
          data-testid={`${testId}-file`}
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            if (chosen) onFile(chosen);
            event.target.value = "";
          }}
        />
      </label>
      {table && file && (
        <div className="w-full rounded border border-rule bg-pine-wash p-2 text-sm" data-testid={`${testId}-preview`}>
          <p className="m-0 mb-1">
            <b>{file.name}</b>: {count ?? "nothing to import"}
            {count && `, ${sampleOf(table)}`}.
          </p>
          <ul className="m-0 mb-1 pl-5">
            {table.problems.map(({ place, sentence, severity }) => (
              <li key={`${place} ${sentence}`} className={severity === "error" ? "text-danger" : "text-muted"}>
                {place}: {sentence}
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap items-end gap-3">
            {children?.(table)}
            <button
              className="btn btn-strong"
              disabled={count === undefined}
              onClick={() => void onTake(table).then((isStored) => isStored && onFile(undefined))}
            >
              Import {count ?? "nothing"}
            </button>
            <button className="btn" onClick={() => onFile(undefined)}>
              Cancel
            </button>
          </div>
        </div>
      )}
    </>
  );
}
