/** Adds a row to a list of the plan; at a list that is full it says so, and how much that is. */
import type { ReactNode } from "react";
import { Plus } from "lucide-react";
import { mostRows } from "../edit/fields.ts";

interface Props {
  /** Of the document's schema, as `climate.forecasts`. */
  list: string;
  rows: readonly unknown[];
  className?: string;
  onClick: () => void;
  children: ReactNode;
}

export function AddButton({ list, rows, className = "", onClick, children }: Props) {
  const most = mostRows(list);
  const isFull = rows.length >= most;
  return (
    <button className={`btn ${className}`} disabled={isFull} onClick={onClick}>
      <Plus size={15} aria-hidden="true" /> {children}
      {isFull && ` (full: ${most})`}
    </button>
  );
}
