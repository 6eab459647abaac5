/** A name typed where it stands: kept on leaving the field, when it is one and another than before. */
import { isVisible, MOST_NAME } from "@gepack/core";
import { TypedText, type Read } from "./TypedText.tsx";

interface Props {
  label: string;
  value: string;
  /** The label stands elsewhere on the screen. */
  bare?: boolean;
  onCommit: (name: string) => void;
  /** The field was called for: it has the focus, and says when it is left. */
  onDone?: () => void;
}

/** What the document takes as a name, or why it is none. */
export function readName(text: string): Read<string> {
  const name = text.trim();
  if (name === "") return { error: "Enter a name." };
  if (!isVisible(name)) return { error: "Enter a name with letters that can be seen." };
  if (name.length > MOST_NAME) return { error: `A name has up to ${MOST_NAME} letters; this one has ${name.length}.` };
  return { value: name };
}

export function NameField({ label, value, bare = false, onCommit, onDone }: Props) {
  return (
    <TypedText
      label={label}
      bare={bare}
      shown={value}
      read={readName}
      show={(name) => name}
      className={bare ? "min-w-[130px]" : ""}
      onCommit={onCommit}
      {...(onDone ? { onDone } : {})}
    />
  );
}
