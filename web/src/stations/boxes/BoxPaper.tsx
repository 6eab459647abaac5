/** The list to lie in a box and the label to go on it, as paper. */
import { Printer } from "lucide-react";
import { Dialog } from "radix-ui";
import type { Plan, PlannedBox } from "@gepack/core";
import { arrivalWords, boxName, sendWords } from "../../words/boxes.ts";
import type { Say } from "../../words/say.ts";
import type { BoxItem } from "./items.ts";

interface Props {
  plan: Plan;
  box: PlannedBox;
  items: readonly BoxItem[];
  say: Say;
  onClose: () => void;
}

export function BoxPaper({ plan, box, items, say, onClose }: Props) {
  const name = boxName(box, plan);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" data-chrome />
        <Dialog.Content className="dialog max-w-[640px]" data-paper aria-describedby={undefined}>
          <div className="mb-2 flex justify-end gap-2" data-chrome>
            <button className="btn btn-strong" onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
          <div className="border-2 border-ink p-4">
            <p className="m-0 text-xl font-bold whitespace-pre-line break-words">
              {box.row?.address.trim() || `${name}\n(address to be written here)`}
            </p>
            <p className="mt-3 mb-0 text-sm">
              Please hold for a hiker who comes between {arrivalWords(box, say)}. {say.kg(box.totalG / 1000)}.
            </p>
          </div>
          <p className="my-1 text-center text-xs text-muted" aria-hidden="true">
            ✂ – – – – – – – – – – – – – – – – – – – – – – –
          </p>
          <Dialog.Title className="m-0 text-lg font-bold">Box to {name}</Dialog.Title>
          <p className="mt-0.5 mb-2 text-sm text-muted">
            {plan.trip.name}, leg {box.legIndex + 1}. Send {sendWords(box, say)}.
          </p>
          <table className="w-full border-collapse text-sm" aria-label="In the box">
            <tbody>
              {items.map(({ id, name: what, grams }) => (
                <tr key={id} className="border-b border-rule align-baseline">
                  <td className="w-[20px]" aria-hidden="true">
                    □
                  </td>
                  <td className="py-0.5 break-words">{what}</td>
                  <td className="figure text-right whitespace-nowrap">{say.g(grams)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 mb-0 text-xs text-muted">
            Fuel, lighters, sprays and loose batteries are refused by most carriers; their rules go first.
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
