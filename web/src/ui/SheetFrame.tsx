/** A sheet of a leg in a dialog: the one before and the next by button, key or swipe; printed alone. */
import { useRef, type ReactNode } from "react";
import { ChevronLeft, ChevronRight, Printer } from "lucide-react";
import { Dialog } from "radix-ui";
import { select } from "../store/selection.ts";

interface Props {
  testId: string;
  className: string;
  legIndex: number;
  legCount: number;
  /** What the buttons to the sheet before and the next are called. */
  names: readonly [before: string, next: string];
  children: ReactNode;
  onClose: () => void;
}

/** So far a finger has to go for the next sheet, and no further up or down than so much of it. */
const SWIPE_PX = 60;
const MOST_SLANT = 0.6;

export function SheetFrame({ testId, className, legIndex, legCount, names, children, onClose }: Props) {
  const touch = useRef<{ x: number; y: number }>(undefined);
  const go = (to: number): void => select({ legIndex: Math.max(0, Math.min(legCount - 1, to)) });
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" data-chrome />
        <Dialog.Content
          className={`dialog ${className}`}
          data-paper
          data-testid={testId}
          aria-describedby={undefined}
          onKeyDown={(event) => {
            const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
            if (by !== undefined) go(legIndex + by);
          }}
          onTouchStart={({ touches }) => {
            const first = touches[0];
            touch.current = first && { x: first.clientX, y: first.clientY };
          }}
          onTouchEnd={({ changedTouches }) => {
            const last = changedTouches[0];
            if (!last || !touch.current) return;
            const [dx, dy] = [last.clientX - touch.current.x, last.clientY - touch.current.y];
            if (Math.abs(dx) > SWIPE_PX && Math.abs(dy) < MOST_SLANT * Math.abs(dx)) go(legIndex + (dx < 0 ? 1 : -1));
          }}
        >
          <div className="mb-2 flex flex-wrap items-center gap-2" data-chrome>
            <button className="btn" aria-label={names[0]} disabled={legIndex === 0} onClick={() => go(legIndex - 1)}>
              <ChevronLeft size={15} aria-hidden="true" />
            </button>
            <button
              className="btn"
              aria-label={names[1]}
              disabled={legIndex === legCount - 1}
              onClick={() => go(legIndex + 1)}
            >
              <ChevronRight size={15} aria-hidden="true" />
            </button>
            <span className="flex-1" />
            <button className="btn" onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
