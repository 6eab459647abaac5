/** The question that an edit has left, with its two answers. */
import { AlertDialog } from "radix-ui";
import { answered, useAsking } from "../edit/asking.ts";

export default function Asking() {
  const question = useAsking((state) => state.question);
  if (!question) return null;
  const { title, text, button, onYes } = question;
  return (
    <AlertDialog.Root open onOpenChange={(isOpen) => isOpen || answered()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="overlay" />
        <AlertDialog.Content className="dialog max-w-md">
          <AlertDialog.Title className="text-lg font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="my-3">{text}</AlertDialog.Description>
          <div className="flex justify-end gap-2">
            <AlertDialog.Cancel className="btn">Cancel</AlertDialog.Cancel>
            <AlertDialog.Action className="btn btn-strong" onClick={onYes}>
              {button}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
