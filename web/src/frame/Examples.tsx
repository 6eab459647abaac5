/** Made-up walks to look into: each with what it shows, opened beside the plans that are here. */
import { EXAMPLES, type ExampleId } from "../words/examples.ts";
import { help } from "../store/helping.ts";
import { openExample, openOnTheTrail } from "./files.ts";
import { HelpDialog } from "./HelpDialog.tsx";

export default function Examples() {
  const open = (work: () => Promise<void>): void => {
    help(undefined);
    void work();
  };
  return (
    <HelpDialog
      title="Examples"
      note="Fictional trails and people. Each opens as its own trip; your trips stay as they are in the Plan menu."
    >
      <ul className="m-0 grid list-none gap-2 p-0">
        {(Object.keys(EXAMPLES) as ExampleId[]).map((id) => (
          <Example key={id} {...EXAMPLES[id]} onOpen={() => open(() => openExample(id))} />
        ))}
        <Example
          name="Nineteen days on the trail"
          shows="The demo with its log: planned vs. actual, what it learnt, what’s left."
          onOpen={() => open(openOnTheTrail)}
        />
      </ul>
    </HelpDialog>
  );
}

function Example({ name, shows, onOpen }: { name: string; shows: string; onOpen: () => void }) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule pb-2 text-sm">
      <span className="min-w-[220px] flex-1">
        <b className="block text-base">{name}</b>
        <span className="text-muted">{shows}</span>
      </span>
      <button className="btn" onClick={onOpen}>
        Open {name}
      </button>
    </li>
  );
}
