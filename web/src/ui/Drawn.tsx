/** A part of the page that may fail without taking the page along; it is tried again with what comes next. */
import { type ReactNode } from "react";
import { ErrorBoundary } from "react-error-boundary";
import { sentenceOf } from "../store/notices.ts";

interface Props {
  what: string;
  /** What is drawn: another one is tried again. */
  of: unknown;
  children: ReactNode;
}

export function Drawn({ what, of, children }: Props) {
  return (
    <ErrorBoundary
      resetKeys={[of]}
      fallbackRender={({ error }) => (
        <p role="alert" className="m-0 bg-caution-wash px-[18px] py-3 text-danger">
          {what} can’t be shown: {sentenceOf(error)}. Your plan is saved. Undo the last edit, or export the plan from
          the Plan menu.
        </p>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
