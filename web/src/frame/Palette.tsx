/** Find anything by any part of its name, and go there or do it. */
import { Command } from "cmdk";
import { navigate } from "astro:transitions/client";
import { useMemo, useState } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { stationOf } from "../stations/registry.ts";
import { undoRedo } from "../store/document.ts";
import { help, lookFor } from "../store/helping.ts";
import { report } from "../store/notices.ts";
import { showPapers } from "../store/papers.ts";
import { searchOf, select, useSelection } from "../store/selection.ts";
import { remember, rememberFound, useSettings } from "../store/settings.ts";
import { savePlanFile } from "./files.ts";
import { bestOf, findable, type ActionName, type Found } from "./finding.ts";

export default function Palette({ plan, result }: { plan: Plan; result: PlanResult }) {
  const [typed, setTyped] = useState("");
  const recent = useSettings((state) => state.found);
  const all = useMemo(() => findable(plan, result), [plan, result]);
  const shown = useMemo(() => bestOf(all, typed, recent), [all, typed, recent]);
  const close = (): void => help(undefined);
  const take = (found: Found): void => {
    close();
    rememberFound(found.id);
    if (found.action) DOES[found.action as ActionName]();
    else if (found.to) go(found);
  };
  return (
    <Command.Dialog
      open
      onOpenChange={(isOpen) => isOpen || close()}
      label="Find anything"
      shouldFilter={false}
      overlayClassName="overlay"
      contentClassName="dialog max-w-xl p-0! top-[8vh]! [transform:translateX(-50%)]!"
    >
      <Command.Input
        value={typed}
        onValueChange={setTyped}
        placeholder="Page, leg, stop, water, item, food or action…"
        className="w-full border-0 border-b border-rule bg-transparent px-4 py-3 text-base outline-none"
      />
      <Command.List className="max-h-[50vh] overflow-y-auto p-1.5">
        <Command.Empty className="px-3 py-4 text-sm text-muted">No matches in this plan.</Command.Empty>
        {shown.map((found) => (
          <Command.Item
            key={found.id}
            value={found.id}
            onSelect={() => take(found)}
            className="flex cursor-pointer items-baseline gap-3 rounded px-3 py-1.5 text-sm data-[selected=true]:bg-pine-wash"
          >
            <span className="flex-1">{found.label}</span>
            <span className="text-xs text-muted">{found.kind}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}

function go({ label, to }: Found): void {
  if (!to) return;
  const { station, part, legIndex, look } = to;
  if (legIndex !== undefined) select({ legIndex });
  if (look) lookFor({ station, ...look, name: label });
  const query = new URLSearchParams(part === undefined ? {} : { part });
  // Where one is already nothing is left.
  if (part === undefined && window.location.pathname === stationOf(station).href) return;
  void navigate(stationOf(station).href + searchOf(useSelection.getState(), query));
}

const DOES: Record<ActionName, () => void> = {
  undo: () => void undoRedo("undo"),
  redo: () => void undoRedo("redo"),
  how: () => help("how"),
  keys: () => help("keys"),
  words: () => help("words"),
  export: () => void savePlanFile().catch(report),
  print: () => showPapers(["overview", "leg-cards"]),
  examples: () => help("examples"),
  begin: () => window.location.assign("/begin/"),
  light: () => remember("theme", "light"),
  dark: () => remember("theme", "dark"),
  night: () => remember("theme", "night"),
  whole: () => select({ zoomLeg: undefined }),
};
