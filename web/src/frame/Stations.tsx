/** The stations in the order of the work, a hairline between groups, the gear at the end; counts of open cautions. */
import { Settings } from "lucide-react";
import { STATIONS, type StationId } from "../stations/registry.ts";
import { useDocument } from "../store/documentState.ts";
import { searchOf, useSelection } from "../store/selection.ts";
import { checkStation } from "../words/checks/index.ts";
import { counted } from "../words/counted.ts";
import { Effect } from "./Effect.tsx";

export function Stations({ station }: { station: string }) {
  const checks = useDocument((state) => state.result?.checks);
  const search = searchOf(useSelection());
  const open = (id: StationId): number =>
    checks?.filter((check) => check.severity !== "note" && checkStation(check) === id).length ?? 0;
  return (
    <nav
      aria-label="Pages"
      data-chrome
      className="flex flex-wrap items-stretch border-b border-rule bg-paper px-[10px] max-[560px]:grid max-[560px]:grid-cols-6 max-[560px]:px-[6px]"
    >
      {STATIONS.map(({ id, name, href, group }, i) => {
        const count = open(id);
        const here = id === station;
        return (
          <span key={id} className="contents">
            {i > 0 && STATIONS[i - 1]!.group !== group && (
              <span aria-hidden="true" className="mx-1.5 my-2.5 w-px bg-rule max-[560px]:hidden" />
            )}
            <a
              href={href + search}
              aria-current={here ? "page" : undefined}
              className={`flex items-center gap-1.5 border-t-3 px-3 py-2 text-base no-underline max-[560px]:relative max-[560px]:h-[42px] max-[560px]:justify-center max-[560px]:gap-1 max-[560px]:border-t-0 max-[560px]:px-0 max-[560px]:text-[13px] ${here ? "border-pine font-bold text-ink max-[560px]:rounded max-[560px]:bg-pine-wash" : "border-transparent font-medium text-muted hover:text-ink"}`}
            >
              {group === "gear" && <Settings size={15} aria-hidden="true" />}
              {name}
              {count > 0 && (
                <span
                  className="text-xs text-caution max-[560px]:absolute max-[560px]:top-[1px] max-[560px]:right-[3px] max-[560px]:text-[11px]"
                  title={counted(count, "open caution")}
                >
                  {count}
                  <span className="sr-only"> open {count === 1 ? "caution" : "cautions"}</span>
                </span>
              )}
            </a>
          </span>
        );
      })}
      <Effect />
    </nav>
  );
}
