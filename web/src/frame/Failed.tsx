/** What could not be opened, and the ways on: the raw file, the other trips on the device, the demo. */
import { useEffect, useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { listPlans } from "../data/plans.ts";
import { openDemo } from "../store/opening.ts";
import { useDocument } from "../store/documentState.ts";
import { report } from "../store/notices.ts";
import { selectPlan } from "../store/selection.ts";
import { saveRawPlan } from "./files.ts";

export function Failed() {
  const { failure, damaged } = useDocument(useShallow(({ failure, damaged }) => ({ failure, damaged })));
  const [others, setOthers] = useState<{ id: string; name: string }[]>([]);
  useEffect(() => {
    listPlans().then(
      (plans) => setOthers(plans.filter((plan) => plan.id !== damaged?.id)),
      () => setOthers([]),
    );
  }, [damaged?.id]);
  return (
    <div role="alert" className="border-b border-rule bg-caution-wash px-[18px] py-3">
      {damaged && <b className="block">{damaged.name} is saved on this device but can’t be opened.</b>}
      <p className="my-1 text-danger">{failure}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {damaged && (
          <button className="btn btn-strong" onClick={() => void saveRawPlan(damaged).catch(report)}>
            Export the damaged file
          </button>
        )}
        {others.map(({ id, name }) => (
          <button key={id} className="btn" onClick={() => selectPlan(id)}>
            Open {name}
          </button>
        ))}
        <button className="btn" onClick={() => void openDemo().catch(report)}>
          Open the original demo
        </button>
      </div>
    </div>
  );
}
