import type { ReactNode } from "react";
import { Dialog } from "radix-ui";
import { help } from "../store/helping.ts";

/** Something to be read beside the work, closed by Escape. */
export function HelpDialog({ title, note, children }: { title: string; note: string; children: ReactNode }) {
  return (
    <Dialog.Root open onOpenChange={(isOpen) => isOpen || help(undefined)}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" />
        <Dialog.Content className="dialog max-h-[90vh] max-w-2xl overflow-y-auto">
          <Dialog.Title className="text-lg font-bold">{title}</Dialog.Title>
          <Dialog.Description className="mt-1 mb-3 text-sm text-muted">{note}</Dialog.Description>
          {children}
          <div className="mt-4 flex justify-end">
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
