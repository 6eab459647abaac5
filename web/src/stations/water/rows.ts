/** Fill-ups of a leg, and between them the sources that are not counted on: in walking order. */
import {
  isTreated,
  treatFill,
  methodsFor,
  type Carry,
  type LegResult,
  type Passage,
  type Plan,
  type PlanResult,
  type Treatment,
} from "@gepack/core";

export interface FillRow {
  id: string;
  node: number;
  /** Undefined at a stop's tap, and for snow. */
  passage: Passage | undefined;
  /** Undefined where nothing is taken. */
  carry: Carry | undefined;
  treating: { minutes: number; flushes: number } | undefined;
}

interface Given {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
  passages: readonly Passage[];
}

export function fillRows({ plan, result, leg, who, passages }: Given): FillRow[] {
  const { treatment } = plan.hikers[who]!.water;
  const known = new Map(passages.map((passage) => [passage.source.id, passage]));
  const { carries } = leg.hikers[who]!;
  const taken = carries.map((carry): FillRow => {
    const passage = carry.fromSourceId === undefined ? undefined : known.get(carry.fromSourceId);
    return {
      id: `fill ${carry.fromNode}`,
      node: carry.fromNode,
      passage,
      carry,
      treating: treating(carry, plan, leg, treatment, result),
    };
  });
  const used = new Set(carries.map(({ fromSourceId }) => fromSourceId));
  const passed = passages
    .filter(({ legIndex, source }) => legIndex === leg.index && !used.has(source.id))
    .map((passage): FillRow => {
      const { source, node } = passage;
      return { id: `pass ${source.id}`, node, passage, carry: undefined, treating: undefined };
    });
  return [...taken, ...passed].sort((a, b) => a.node - b.node);
}

function treating(carry: Carry, plan: Plan, leg: LegResult, treatment: Treatment, { profile }: PlanResult) {
  if (!isTreated(carry, plan) || methodsFor(carry, plan, treatment).length === 0) return undefined;
  const { minutes, flushes } = treatFill(carry, plan, leg, treatment, profile.heightM[carry.fromNode]!);
  return { minutes, flushes };
}

/** The worst that one dry source does to a leg. */
export function worstOf(carries: readonly Carry[]): Carry | undefined {
  return carries.reduce<Carry | undefined>(
    (worst, carry) => (carry.ifDry && carry.ifDry.litres > (worst?.ifDry?.litres ?? 0) ? carry : worst),
    undefined,
  );
}
