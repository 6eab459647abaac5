/** A choice from a short list. The value is read at once: an edit that runs later must not ask the event. */
interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  /** The label stands elsewhere on the screen. */
  bare?: boolean;
  onPick: (value: T) => void;
}

export function Pick<T extends string>({ label, value, options, bare, onPick }: Props<T>) {
  const select = (
    <select
      className={`field font-normal ${bare ? "min-h-[24px]! w-auto! max-w-full px-1! py-0! text-sm!" : "mt-1"}`}
      aria-label={bare ? label : undefined}
      value={value}
      onChange={(event) => onPick(event.target.value as T)}
    >
      {options.map(([key, text]) => (
        <option key={key} value={key}>
          {text}
        </option>
      ))}
    </select>
  );
  return bare ? (
    select
  ) : (
    <label className="is-form text-sm font-semibold">
      {label}
      {select}
    </label>
  );
}
