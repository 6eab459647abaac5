/** How the station one is on works, in a few sentences, without network. */
import { STATIONS, stationOf } from "../stations/registry.ts";
import { HOW_IT_WORKS } from "../words/howItWorks.ts";
import { help } from "../store/helping.ts";
import { HelpDialog } from "./HelpDialog.tsx";

export default function HowItWorks({ station }: { station: string }) {
  const { id } = STATIONS.find((one) => one.id === station) ?? STATIONS[0];
  const { does, assumes, caution } = HOW_IT_WORKS[id];
  return (
    <HelpDialog title={`How ${stationOf(id).name} works`} note={does}>
      <h3 className="m-0 mb-1 text-sm font-bold text-pine">Assumptions</h3>
      <ul className="m-0 mb-3 grid gap-1 pl-5 text-sm">
        {assumes.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <p className="m-0 rounded bg-caution-wash px-3 py-2 text-sm text-caution">{caution}</p>
      <p className="mt-3 mb-0 text-sm text-muted">
        Click any figure with a dotted underline to see how it was calculated and its sources.{" "}
        <button
          className="cursor-pointer border-0 bg-transparent p-0 text-pine underline"
          onClick={() => help("words")}
        >
          Glossary
        </button>
      </p>
    </HelpDialog>
  );
}
