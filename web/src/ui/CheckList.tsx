/** Open checks in whole sentences, each with what would repair it: a button where the program can do it itself. */
import type { Check, Plan, PlanResult } from "@gepack/core";
import { isAction, type Fix } from "../fixes/fix.ts";
import { edit } from "../store/document.ts";
import { firstName } from "../words/names.ts";
import { checkFixes, checkSentence, SEVERITY_WORD } from "../words/checks/index.ts";

interface Props {
  checks: readonly Check[];
  plan: Plan;
  result: PlanResult;
  /** Where the list stands with no leg of its own, each check says its leg and hiker. */
  withPlace?: boolean;
}

export function CheckList({ checks, plan, result, withPlace }: Props) {
  if (checks.length === 0) return null;
  const fixesOf = (check: Check): Fix[] => checkFixes(check, { plan, result });
  return (
    <ul className="m-0 grid list-none gap-2 p-0">
      {checks.map((check, i) => (
        <li key={i} className="flex flex-wrap items-center gap-x-4 gap-y-1.5 rounded bg-caution-wash px-3 py-2 text-sm">
          <span className="min-w-[240px] flex-1">
            <b className={check.severity === "blocker" ? "text-danger" : "text-caution"}>
              {SEVERITY_WORD[check.severity]}
              {withPlace && place(check, plan)}.
            </b>{" "}
            {checkSentence(check, plan)} <Advice fixes={fixesOf(check)} />
          </span>
          <Actions fixes={fixesOf(check)} />
        </li>
      ))}
    </ul>
  );
}

function place(check: Check, plan: Plan): string {
  const leg = check.legIndex === undefined ? "" : `, leg ${check.legIndex + 1}`;
  const hiker = plan.hikers.length > 1 ? plan.hikers.find((candidate) => candidate.id === check.hikerId) : undefined;
  return `${leg}${hiker ? `, ${firstName(hiker)}` : ""}`;
}

function Advice({ fixes }: { fixes: readonly Fix[] }) {
  const text = fixes.flatMap((fix) => ("advice" in fix ? [fix.advice] : [])).join(" ");
  return text === "" ? null : <span className="text-muted">{text}</span>;
}

function Actions({ fixes }: { fixes: readonly Fix[] }) {
  const actions = fixes.filter(isAction);
  if (actions.length === 0) return null;
  return (
    <span className="flex flex-wrap gap-1.5">
      {actions.map(({ button, label, recipe }) => (
        <button key={button} className="btn" onClick={() => void edit(label, recipe)}>
          {button}
        </button>
      ))}
    </span>
  );
}
