/** The button of the plan's menu. The menu itself comes when it is first asked for: most visits need none. */
import { ChevronDown } from "lucide-react";
import { lazy, Suspense, useRef, useState } from "react";
import { importPlanFile } from "./files.ts";

const fetchMenu = () => import("./OpenedMenu.tsx");
const OpenedMenu = lazy(fetchMenu);

export function FileMenu() {
  const [isOpen, setOpen] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const button = (
    <button
      className="bar-button"
      aria-haspopup="menu"
      aria-expanded={isOpen}
      onPointerEnter={() => void fetchMenu()}
      onClick={() => setOpen(true)}
    >
      Plan <ChevronDown size={14} aria-hidden="true" />
    </button>
  );
  return (
    <>
      {isOpen ? (
        <Suspense fallback={button}>
          <OpenedMenu onImport={() => input.current?.click()} />
        </Suspense>
      ) : (
        button
      )}
      <input
        ref={input}
        type="file"
        accept=".json,.gz,application/json,application/gzip"
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
    </>
  );
}
