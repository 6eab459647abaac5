/** Every stop on the Line's scale: used, skipped, held, and hatched where it is closed when one comes. */
import { memo } from "react";
import { isWalked, walkedAt, type Plan, type PlanResult, type Stop } from "@gepack/core";
import type { LineFrame } from "../../line/scale.ts";
import { Lane } from "../../ui/Lanes.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  line: LineFrame;
  /** Ids of the stops that are closed when one comes. */
  shut: ReadonlySet<string>;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

const MARK_PX = 11;

export const StopLane = memo(function StopLane({ plan, result: { profile }, line, shut, chosen, onChoose }: Props) {
  const { x, widthPx } = line;
  const walked = plan.stops.filter((stop) => isWalked(profile, stop));
  return (
    <Lane title="Stops: used, skipped" widthPx={widthPx} heightPx={28}>
      {walked.map((stop) => (
        <button
          key={stop.id}
          tabIndex={-1}
          aria-label={words(stop, shut.has(stop.id))}
          title={words(stop, shut.has(stop.id))}
          className={`absolute top-[6px] h-[16px] w-[11px] rounded-[2px] border-2 border-pine ${stop.use ? "bg-pine" : "bg-sheet"} ${stop.id === chosen ? "outline-2 outline-offset-1 outline-ink" : ""}`}
          style={{
            left: x(walkedAt(profile, stop.trackM, stop.alternateId)) - MARK_PX / 2,
            ...(shut.has(stop.id) ? { background: SHUT, borderColor: "var(--danger)" } : {}),
          }}
          onClick={() => onChoose(stop.id)}
        >
          {stop.locked && (
            <span className="absolute -top-[5px] left-1/2 size-[5px] -translate-x-1/2 rounded-full bg-ink" />
          )}
        </button>
      ))}
    </Lane>
  );
});

const SHUT = "repeating-linear-gradient(45deg, var(--danger) 0 2px, var(--sheet) 2px 5px)";

function words({ name, use, locked }: Stop, isShut: boolean): string {
  return `${name}, ${use ? "used" : "skipped"}${locked ? ", locked" : ""}${isShut ? ", closed when you arrive" : ""}`;
}
