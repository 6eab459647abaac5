/** The keys that work, and where. */
import { HelpDialog } from "./HelpDialog.tsx";

const KEYS: readonly [where: string, keys: readonly [string, string][]][] = [
  [
    "Everywhere",
    [
      ["Ctrl K", "find anything: page, leg, stop, water, item, food, action"],
      ["?", "this list"],
      ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
      ["Enter, Escape", "confirm what you typed, or cancel"],
      ["Escape", "close a dialog; show the whole trail"],
    ],
  ],
  [
    "The Line, on its legs",
    [
      ["← →, Home, End", "select another leg"],
      ["+, 0", "zoom to the leg; the whole trail"],
    ],
  ],
  [
    "Tables",
    [
      ["↑ ↓, Home, End", "select another row"],
      ["Delete", "delete the selected rows"],
    ],
  ],
  [
    "Trail, on a place",
    [
      ["← →, with Shift", "move it; with Shift ten times as far"],
      ["Delete", "remove it"],
    ],
  ],
  ["Season chart", [["↑ ↓, with Shift", "change the start date by a day; with Shift by a week"]]],
  ["Days, on a night", [["← →", "move it"]]],
  ["Stops", [["u", "use or skip the selected stop"]]],
  ["Kit, on the end of a bar", [["← →", "move to the previous or next stop"]]],
];

export default function KeyList() {
  return (
    <HelpDialog
      title="Keyboard shortcuts"
      note="On a Mac, use ⌘ for Ctrl. Single-letter shortcuts are off while you type in a field."
    >
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
