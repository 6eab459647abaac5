/** Something that takes long: how far it is, and a way to stop it. */
interface Props {
  label: string;
  /** 0 to 1. */
  fraction: number;
  onStop: () => void;
  /** What the button says. */
  stop?: string;
}

export function Progress({ label, fraction, onStop, stop = "Stop" }: Props) {
  return (
    <span className="flex items-center gap-2 text-sm text-muted" role="status">
      <progress className="max-w-full" max={1} value={fraction} aria-label={label} />
      <button className="btn" onClick={onStop}>
        {stop}
      </button>
    </span>
  );
}
