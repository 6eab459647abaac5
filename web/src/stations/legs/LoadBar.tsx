import type { LegHiker } from "@gepack/core";

/** What leaves the stop, by substance, against the comfort of the pack. */
export function LoadBar({ row, comfortKg, scaleKg }: { row: LegHiker; comfortKg: number; scaleKg: number }) {
  const share = (kg: number): string => `${(kg / scaleKg) * 100}%`;
  const parts = [
    ["kit", row.kit.baseKg + row.kit.consumableKg],
    ["food", row.food.startKg],
    ["water", row.startWaterKg],
    ["fuel", row.fuel.startKg + row.fuel.containerKg],
  ] as const;
  return (
    <div className="relative h-[13px] min-w-[110px]" aria-hidden="true">
      <div className="flex h-full">
        {parts.map(([name, kg]) => (
          <div key={name} style={{ width: share(kg), background: `var(--${name})` }} />
        ))}
      </div>
      {/* How far the heaviest point of the leg goes beyond its start: water taken on later. */}
      <div
        className="absolute top-[6px] h-px"
        style={{
          left: share(row.startKg),
          width: share(Math.max(0, row.heaviestKg - row.startKg)),
          background: "var(--water)",
        }}
      />
      <div className="absolute -top-[3px] -bottom-[3px] w-px bg-danger" style={{ left: share(comfortKg) }} />
    </div>
  );
}
