/** What the words of the field mean here. */
import { useState } from "react";
import { GLOSSARY } from "../words/glossary.ts";
import { plain } from "./plain.ts";
import { HelpDialog } from "./HelpDialog.tsx";

export default function Glossary() {
  const [typed, setTyped] = useState("");
  const word = plain(typed.trim());
  const shown = GLOSSARY.filter(([term, meaning]) => plain(`${term} ${meaning}`).includes(word));
  return (
    <HelpDialog title="Glossary" note="One word for each thing, on every screen, in files and on paper.">
      <label className="mb-3 block text-sm font-semibold">
        Search
        <input className="field mt-1 font-normal" value={typed} onChange={(event) => setTyped(event.target.value)} />
      </label>
      <dl className="m-0 grid gap-2 text-sm">
        {shown.map(([term, meaning]) => (
          <div key={term}>
            <dt className="font-bold">{term}</dt>
            <dd className="m-0 text-muted">{meaning}</dd>
          </div>
        ))}
      </dl>
      {shown.length === 0 && <p className="m-0 text-sm text-muted">No matching word.</p>}
    </HelpDialog>
  );
}
