/** Which pieces are shown: by a word, and by what is amiss with them. */
import type { Idle, Piece, Plan } from "@gepack/core";
import { Pick } from "../../ui/Pick.tsx";
import { sayIn } from "../../words/say.ts";

export interface Filter {
  find: string;
  show: "all" | "idle" | "unmeasured" | "heavy" | "away";
}

const SHOW: Readonly<Record<Filter["show"], string>> = {
  all: "all items",
  idle: "not needed on some or all legs",
  unmeasured: "not weighed",
  heavy: "500 g and more",
  away: "not carried the whole way",
};
const HEAVY_G = 500;

export function isShown(piece: Piece, { find, show }: Filter, idle: readonly Idle[]): boolean {
  const words = find.trim().toLowerCase();
  if (words !== "" && !`${piece.name} ${piece.group}`.toLowerCase().includes(words)) return false;
  switch (show) {
    case "all":
      return true;
    case "idle":
      return idle.some(({ pieceId }) => pieceId === piece.id);
    case "unmeasured":
      return !piece.measured;
    case "heavy":
      return piece.massG * piece.quantity >= HEAVY_G;
    case "away":
      return (
        piece.spans.length !== 1 || piece.spans.some(({ begins, ends }) => begins !== "from-home" || ends !== "kept")
      );
  }
}

interface Props {
  filter: Filter;
  onFilter: (filter: Filter) => void;
  plan: Plan;
  idle: readonly Idle[];
}

export function PieceFilter({ filter, onFilter, plan, idle }: Props) {
  const say = sayIn(plan);
  const never = idle.reduce((sum, { pieceId, legs }) => {
    const piece = plan.kit.find(({ id }) => id === pieceId);
    return sum + (piece ? piece.massG * piece.quantity * legs.length : 0);
  }, 0);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-[18px] py-1.5 text-sm">
      <label className="flex items-center gap-1.5">
        <span className="font-semibold">Find</span>
        <input
          type="search"
          className="field w-[140px] border-rule!"
          value={filter.find}
          onChange={(event) => onFilter({ ...filter, find: event.target.value })}
        />
      </label>
      <Pick
        bare
        label="Show"
        value={filter.show}
        options={Object.entries(SHOW) as [Filter["show"], string][]}
        onPick={(show) => onFilter({ ...filter, show })}
      />
      {idle.length > 0 && (
        <span className="text-muted" data-testid="idle">
          {idle.length === 1 ? "One item is" : `${idle.length} items are`} carried where not needed,{" "}
          {say.g(never / Math.max(1, legsOf(idle)))} per leg on average.
        </span>
      )}
    </div>
  );
}

/** Legs on which any of them is carried in vain. */
function legsOf(idle: readonly Idle[]): number {
  return new Set(idle.flatMap(({ legs }) => legs)).size;
}
