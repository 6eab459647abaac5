/** A value typed where it stands: kept on leaving the field or Enter, dropped by Escape. Wrong text says why and changes nothing. */
import { useId, useState, type ChangeEvent, type KeyboardEvent } from "react";
import { useTyped } from "./useTyped.ts";

export type Read<T> = { value: T } | { error: string };

interface Props<T> {
  label: string;
  /** The label stands elsewhere on the screen. */
  bare?: boolean;
  /** As text; what is typed is read, and shown again as it was understood. */
  shown: string;
  read: (text: string) => Read<T>;
  show: (value: T) => string;
  placeholder?: string;
  /** Of several lines, in which Enter begins the next. */
  lines?: boolean;
  className?: string;
  onCommit: (value: T) => void;
  /** The field was called for: it has the focus, and says when it is left, by Escape too. */
  onDone?: () => void;
}

export function TypedText<T>({
  label,
  bare,
  shown,
  read,
  show,
  placeholder,
  lines = false,
  className,
  onCommit,
  onDone,
}: Props<T>) {
  const id = useId();
  const { text, type, rest } = useTyped(shown);
  const [error, setError] = useState<string>();
  const give = (up?: string): void => {
    rest(up);
    setError(undefined);
  };
  const commit = (): void => {
    if (text === shown) return done();
    const found = read(text);
    if ("error" in found) return setError(found.error);
    const understood = show(found.value);
    if (understood !== shown) onCommit(found.value);
    done(understood);
  };
  const done = (up?: string): void => {
    give(up);
    onDone?.();
  };
  const keys = (event: KeyboardEvent): void => {
    if (event.key === "Escape") done();
    if (event.key !== "Enter" || lines) return;
    // What takes the focus next is not pressed by the same key.
    if (onDone) event.preventDefault();
    commit();
  };
  const Field = lines ? "textarea" : "input";
  const input = (
    <>
      <Field
        className={`field font-normal ${bare ? "min-h-[24px]! px-1! py-0! text-sm!" : "mt-1"} ${className ?? ""}`}
        aria-label={bare ? label : undefined}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        placeholder={placeholder}
        autoFocus={onDone !== undefined}
        value={text}
        onChange={({ target }: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => type(target.value)}
        onBlur={commit}
        onKeyDown={keys}
      />
      {error !== undefined && (
        <span
          id={`${id}-error`}
          role="alert"
          className="block max-w-[220px] text-xs font-normal whitespace-normal text-danger"
        >
          {error}
        </span>
      )}
    </>
  );
  return bare ? (
    <span className="inline-block">{input}</span>
  ) : (
    <label className="block text-sm font-semibold">
      {label}
      {input}
    </label>
  );
}
