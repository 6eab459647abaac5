import { DropdownMenu } from "radix-ui";
import { useEffect, useState } from "react";
import { listPlans } from "../data/plans.ts";
import { useDocument } from "../store/documentState.ts";
import { selectPlan } from "../store/selection.ts";

/** The trips kept on this device, when there is more than one. */
export function PlansMenu() {
  const current = useDocument((state) => state.plan?.id);
  const [plans, setPlans] = useState<{ id: string; name: string }[]>([]);
  useEffect(() => {
    listPlans().then(setPlans, () => setPlans([]));
  }, []);
  if (plans.length < 2) return null;
  return (
    <DropdownMenu.RadioGroup value={current ?? ""} onValueChange={selectPlan}>
      <DropdownMenu.Label className="px-2.5 pt-2 text-xs text-muted">Trips on this device</DropdownMenu.Label>
      {plans.map((plan) => (
        <DropdownMenu.RadioItem key={plan.id} value={plan.id} className="menu-item data-[state=checked]:font-bold">
          {plan.name}
        </DropdownMenu.RadioItem>
      ))}
    </DropdownMenu.RadioGroup>
  );
}
