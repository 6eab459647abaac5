/** A name typed where it stands: kept on leaving the field, when it is one and another than before. */
interface Props {
  label: string;
  value: string;
  /** The label stands elsewhere on the screen. */
  bare?: boolean;
  onCommit: (name: string) => void;
}

export function NameField({ label, value, bare, onCommit }: Props) {
  const input = (
    <input
      key={value}
      className={`field font-normal ${bare ? "min-h-[24px]! min-w-[130px] px-1! py-0! text-sm!" : "mt-1"}`}
      aria-label={bare ? label : undefined}
      defaultValue={value}
      maxLength={200}
      onBlur={(event) => {
        const name = event.target.value.trim();
        if (name !== "" && name !== value) onCommit(name);
      }}
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
