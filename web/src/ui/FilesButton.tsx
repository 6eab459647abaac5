/** A button that requires files; the same one may be given again. */
import { useRef } from "react";

interface Props {
  /** What the button says, and what the files are. */
  words: string;
  label: string;
  accept: string;
  disabled: boolean;
  className?: string;
  onFiles: (files: readonly File[]) => void;
}

export function FilesButton({ words, label, accept, disabled, className = "btn", onFiles }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button className={className} disabled={disabled} onClick={() => input.current?.click()}>
        {words}
      </button>
      <input
        ref={input}
        type="file"
        multiple
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          if (files.length > 0) onFiles(files);
        }}
      />
    </>
  );
}

/** Kinds of track files whose points may have times. */
export const TIMED_FILES = ".gpx,.tcx,.fit";
