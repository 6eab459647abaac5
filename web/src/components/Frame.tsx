/** What stands on every page: the bar with the plan's name, the Line, the stations. It persists across pages. */
import { AlertDialog, DropdownMenu, ToggleGroup } from "radix-ui";
import { ChevronDown, Redo2, Undo2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { Toaster } from "sonner";
import { Line } from "../line/Line.tsx";
import {
  begin,
  chooseTheme,
  dismissNotice,
  openDemo,
  select,
  undoRedo,
  useApp,
  welcome,
  type Theme,
} from "../store/app.ts";
import { CHECK_STATION } from "../words/checks.ts";
import { dayMonth } from "../units/quantity.ts";
import { importPlanFile, savePlanFile } from "./files.ts";
import { PlansMenu } from "./PlansMenu.tsx";

const STATIONS = [
  { id: "trail", name: "Trail", href: "/trail/" },
  { id: "kit", name: "Kit", href: "/kit/" },
  { id: "legs", name: "Legs", href: "/" },
  { id: "setup", name: "Setup", href: "/setup/" },
] as const;

export default function Frame({ station }: { station: string }) {
  const { status, failure, plan, result, notice, welcomed } = useApp();
  useEffect(begin, []);
  useKeys();
  useTheme();
  const { legIndex, hikerIndex, why } = useApp();
  const search = `?leg=${legIndex + 1}&hiker=${hikerIndex + 1}&why=${why}`;

  return (
    <>
      <TopBar />
      {notice && (
        <div
          role="status"
          className="flex items-center gap-3 border-b border-rule bg-caution-wash px-[18px] py-1.5 text-sm text-caution"
          data-chrome
        >
          <span className="flex-1">{notice}</span>
          <button className="btn" onClick={dismissNotice}>
            Dismiss
          </button>
        </div>
      )}
      {status === "failed" && (
        <div role="alert" className="border-b border-rule bg-caution-wash px-[18px] py-3 text-danger">
          {failure}{" "}
          <button className="btn ml-3" onClick={() => void openDemo()}>
            Open the demo
          </button>
        </div>
      )}
      {plan && result ? (
        <Line plan={plan} result={result} />
      ) : (
        <div className="h-[203px] border-b border-rule bg-sheet px-[18px] py-20 text-muted">
          {status === "opening" ? "Reading the trail…" : ""}
        </div>
      )}
      <nav
        aria-label="Stations"
        data-chrome
        className="flex flex-wrap items-stretch gap-1 border-b border-rule bg-paper px-[10px]"
      >
        {STATIONS.map(({ id, name, href }) => {
          const count =
            result?.checks.filter((check) => check.severity !== "note" && CHECK_STATION[check.code] === id).length ?? 0;
          const here = id === station;
          return (
            <a
              key={id}
              href={href + search}
              aria-current={here ? "page" : undefined}
              className={`border-t-3 px-3 py-2 text-base no-underline ${here ? "border-pine font-bold text-ink" : "border-transparent font-medium text-muted hover:text-ink"}`}
            >
              {name}
              {count > 0 && (
                <span className="ml-1.5 text-xs text-caution" title={`${count} open cautions`}>
                  {count}
                  <span className="sr-only"> open cautions</span>
                </span>
              )}
            </a>
          );
        })}
        <Effect />
      </nav>
      {plan?.trip.madeUp && !welcomed && <Welcome />}
      <Toaster position="bottom-center" toastOptions={{ duration: 5000 }} />
    </>
  );
}

function TopBar() {
  const { plan, result, undoLabel, redoLabel, hikerIndex, computing, theme } = useApp();
  return (
    <header
      data-chrome
      className="flex flex-wrap items-center gap-x-4 gap-y-1 bg-[#10201c] px-[18px] py-1.5 text-[#e8efec]"
    >
      <a
        href="/"
        className="font-[family-name:var(--font-figure)] text-lg font-extrabold text-inherit no-underline [font-stretch:115%]"
      >
        Gepack
      </a>
      {plan && (
        <>
          <h1 className="m-0 text-base font-semibold">{plan.trip.name}</h1>
          <span className="text-sm text-[#b9c8c2]">
            {plan.trip.madeUp && "made up · "}
            {plan.trip.directionName && `${plan.trip.directionName} · `}
            {dayMonth(plan.trip.startDate)} to {result ? dayMonth(result.finishDate) : "…"}
          </span>
          {plan.hikers.length > 1 && (
            <ToggleGroup.Root
              type="single"
              value={String(hikerIndex)}
              onValueChange={(value) => value !== "" && select({ hikerIndex: Number(value) })}
              aria-label="Whose pack"
              className="flex overflow-hidden rounded border border-[#3c524b]"
            >
              {plan.hikers.map((hiker, i) => (
                <ToggleGroup.Item
                  key={hiker.id}
                  value={String(i)}
                  className="px-2.5 py-1 text-sm data-[state=on]:bg-[#e8efec] data-[state=on]:font-bold data-[state=on]:text-[#10201c]"
                >
                  {hiker.name.split(" ")[0]}
                </ToggleGroup.Item>
              ))}
            </ToggleGroup.Root>
          )}
        </>
      )}
      <span className="ml-auto text-sm text-[#b9c8c2]" role="status">
        {computing ? "Working it out…" : plan ? "Kept on this device" : ""}
      </span>
      <div className="flex gap-1">
        <button
          className="bar-button"
          disabled={!undoLabel}
          onClick={() => void undoRedo("undo")}
          title={undoLabel ? `Undo: ${undoLabel} (Ctrl Z)` : "Nothing to undo"}
        >
          <Undo2 size={15} aria-hidden="true" /> Undo
        </button>
        <button
          className="bar-button"
          disabled={!redoLabel}
          onClick={() => void undoRedo("redo")}
          title={redoLabel ? `Redo: ${redoLabel} (Ctrl Shift Z)` : "Nothing to redo"}
        >
          <Redo2 size={15} aria-hidden="true" /> Redo
        </button>
        <FileMenu theme={theme} />
      </div>
    </header>
  );
}

function FileMenu({ theme }: { theme: Theme }) {
  const input = useRef<HTMLInputElement>(null);
  const [asking, setAsking] = useState(false);
  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="bar-button">
          Plan <ChevronDown size={14} aria-hidden="true" />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={4} className="menu">
            <DropdownMenu.Item className="menu-item" onSelect={() => void savePlanFile()}>
              Export the plan as one file
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => input.current?.click()}>
              Import a plan file…
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => window.location.assign("/trail/#own")}>
              Begin an own trip…
            </DropdownMenu.Item>
            <PlansMenu />
            <DropdownMenu.Item className="menu-item" onSelect={() => setAsking(true)}>
              Start again from the demo…
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-rule" />
            <DropdownMenu.RadioGroup value={theme} onValueChange={(value) => chooseTheme(value as Theme)}>
              {(["system", "light", "dark"] as const).map((value) => (
                <DropdownMenu.RadioItem key={value} value={value} className="menu-item data-[state=checked]:font-bold">
                  {{ system: "Light or dark as the device", light: "Light", dark: "Dark" }[value]}
                </DropdownMenu.RadioItem>
              ))}
            </DropdownMenu.RadioGroup>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="sr-only"
        aria-label="Plan file to import"
        data-testid="plan-file"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void importPlanFile(file);
        }}
      />
      <AlertDialog.Root open={asking} onOpenChange={setAsking}>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="overlay" />
          <AlertDialog.Content className="dialog max-w-md">
            <AlertDialog.Title className="text-lg font-bold">Start again from the demo?</AlertDialog.Title>
            <AlertDialog.Description className="my-3">
              Your changes to the Corvane Traverse are given up and cannot be undone. Own trips stay. Export the plan
              first if you want to keep it.
            </AlertDialog.Description>
            <div className="flex justify-end gap-2">
              <AlertDialog.Cancel className="btn">Keep my plan</AlertDialog.Cancel>
              <AlertDialog.Action className="btn btn-strong" onClick={() => void openDemo()}>
                Start again from the demo
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </>
  );
}

/** What the last edit did to the headline figures, until the next one. */
function Effect() {
  const { plan, result, before, lastLabel, hikerIndex } = useApp();
  if (!plan || !result || !before || !lastLabel) return null;
  const heaviest = (of: typeof result): number =>
    Math.max(...of.legs.map((leg) => leg.hikers[hikerIndex]?.heaviestKg ?? 0));
  const food = (of: typeof result): number =>
    of.legs.reduce((sum, leg) => sum + (leg.hikers[hikerIndex]?.food.startKg ?? 0), 0);
  const kg = (value: number): string => value.toFixed(2);
  const pairs: [string, string, string][] = [
    ["heaviest", `${kg(heaviest(before))}`, `${kg(heaviest(result))} kg`],
    ["food", `${kg(food(before))}`, `${kg(food(result))} kg`],
    ["finish", dayMonth(before.finishDate), dayMonth(result.finishDate)],
  ];
  return (
    <div className="ml-auto flex items-center gap-3 px-2 text-sm text-muted" data-testid="effect" role="status">
      <span className="max-w-[260px] truncate">{lastLabel}:</span>
      {pairs.map(([name, old, now]) => (
        <span key={name} className="whitespace-nowrap">
          {name}{" "}
          {old === now.replace(/ kg$/, "") ? (
            <b className="text-ink">{now}</b>
          ) : (
            <>
              <s className="opacity-80">{old}</s> <b className="text-pine">{now}</b>
            </>
          )}
        </span>
      ))}
    </div>
  );
}

function Welcome() {
  return (
    <section
      className="flex flex-wrap items-center gap-3 border-b border-rule bg-pine-wash px-[18px] py-2 text-sm"
      aria-label="Welcome"
      data-chrome
    >
      <p className="m-0 flex-1">
        <b>This trail is made up.</b> Click a leg to see what its pack weighs and why; change a figure in Kit or Setup
        and everything follows.
      </p>
      <a className="btn btn-strong no-underline" href="/trail/#own" onClick={welcome}>
        Begin an own trip
      </a>
      <button className="btn" onClick={welcome}>
        Look around the demo
      </button>
    </section>
  );
}

/** Undo and redo by key anywhere but in a text field, where they belong to the text. */
function useKeys(): void {
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
      if (event.target instanceof HTMLElement && event.target.matches("input[type=text], textarea")) return;
      event.preventDefault();
      void undoRedo(event.shiftKey ? "redo" : "undo");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}

function useTheme(): void {
  const theme = useApp((state) => state.theme);
  useEffect(() => {
    const dark = window.matchMedia("(prefers-color-scheme: dark)");
    const apply = (): void => {
      document.documentElement.dataset["theme"] = theme === "system" ? (dark.matches ? "dark" : "light") : theme;
    };
    apply();
    dark.addEventListener("change", apply);
    document.addEventListener("astro:after-swap", apply);
    return () => {
      dark.removeEventListener("change", apply);
      document.removeEventListener("astro:after-swap", apply);
    };
  }, [theme]);
}
