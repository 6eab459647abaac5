/** A name typed where it stands: kept on leaving the field, when it is one and another than before. */
import type { KeyboardEvent } from "react";
import { useTyped } from "./useTyped.ts";

interface Props {
  label: string;
  value: string;
  /** The label stands elsewhere on the screen. */
  bare?: boolean;
  onCommit: (name: string) => void;
}

export function NameField({ label, value, bare, onCommit }: Props) {
  const { text, type, rest } = useTyped(value);
  const commit = (): void => {
    const name = text.trim();
    if (name === "" || name === value) return rest();
    rest(name);
    onCommit(name);
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") rest();
  };
  const input = (
    <input
      className={`field font-normal ${bare ? "min-h-[24px]! min-w-[130px] px-1! py-0! text-sm!" : "mt-1"}`}
      aria-label={bare ? label : undefined}
      value={text}
      maxLength={200}
      onChange={(event) => type(event.target.value)}
      onBlur={commit}
      onKeyDown={keys}
    />
  );
  return bare ? (
    input
  ) : (
    <label className="text-sm font-semibold">
      {label}
      {input}
    </label>
  );
}
