/** The keys that work, and where. */
import { HelpDialog } from "./HelpDialog.tsx";

const KEYS: readonly [where: string, keys: readonly [string, string][]][] = [
  [
    "Everywhere",
    [
      ["Ctrl K", "find anything: station, leg, stop, water, piece, food, action"],
      ["?", "this list"],
      ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
      ["Enter, Escape", "take what is typed, or leave it as it was"],
      ["Escape", "close a dialog; the whole trail again"],
    ],
  ],
  [
    "The Line, on its legs",
    [
      ["← →, Home, End", "another leg"],
      ["+, 0", "zoom to the leg; the whole trail"],
    ],
  ],
  [
    "Tables",
    [
      ["↑ ↓, Home, End", "another row"],
      ["Delete", "take the chosen rows away"],
    ],
  ],
  [
    "Trail, on a place",
    [
      ["← →, with Shift", "move it; by ten times as much"],
      ["Delete", "take it away"],
    ],
  ],
  ["Season, on the plane", [["↑ ↓, with Shift", "another first day; another week"]]],
  ["Days, on a night", [["← →", "move it"]]],
  ["Stops", [["u", "use the chosen stop, or pass by"]]],
  ["Kit, on the end of a bar", [["← →", "to the stop before or after"]]],
];

export default function KeyList() {
  return (
    <HelpDialog title="Keys" note="On a Mac, ⌘ is Ctrl. While something is typed, letters belong to the text.">
      {KEYS.map(([where, keys]) => (
        <section key={where} className="mb-3">
          <h3 className="m-0 mb-1 text-sm font-bold text-pine">{where}</h3>
          <dl className="m-0 grid grid-cols-[170px_1fr] gap-x-4 gap-y-1 text-sm">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="figure font-semibold">{key}</dt>
                <dd className="m-0">{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </HelpDialog>
  );
}
