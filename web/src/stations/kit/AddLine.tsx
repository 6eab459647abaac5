/** A piece typed in one line: `fleece 241 g worn`. */
import { useState } from "react";
import type { Plan } from "@gepack/core";
import { readPieceLine } from "../../edit/kit.ts";
import { addRow } from "../../edit/rows.ts";
import { emptied, useDraft } from "../../store/drafts.ts";

interface Props {
  plan: Plan;
  hikerId: string;
  /** Several lines at once are a list, which is looked at before it is taken. */
  onList: (list: File) => void;
}

export function AddLine({ plan, hikerId, onList }: Props) {
  const [text, setText] = useState("");
  useDraft(text !== "");
  const [problem, setProblem] = useState<string>();
  return (
    <form
      className="flex flex-wrap items-center gap-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        const read = readPieceLine(text, plan, hikerId);
        if (typeof read === "string") return setProblem(read);
        setProblem(undefined);
        void addRow("kit", `Add ${read.name}`, read).then((isStored) => isStored && setText(emptied(text)));
      }}
    >
      <input
        className="field w-[220px] border-rule!"
        aria-label="Add an item by typing a line"
        placeholder="fleece 241 g worn"
        value={text}
        aria-invalid={problem !== undefined}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData("text");
          if (!/[\r\n]/.test(pasted.trim())) return;
          event.preventDefault();
          onList(new File([pasted], "Pasted list"));
        }}
        onChange={(event) => {
          setText(event.target.value);
          setProblem(undefined);
        }}
      />
      {problem && (
        <span role="alert" className="text-danger">
          {problem}
        </span>
      )}
    </form>
  );
}
