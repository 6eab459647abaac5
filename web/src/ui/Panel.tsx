import type { ReactNode } from "react";

/** A titled part of a station, with a sentence that says what it is for. */
export function Panel({ title, note, children }: { title: string; note?: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title} className="min-w-0">
      <h2 className="m-0 mb-1 text-lg font-bold">{title}</h2>
      {note && <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">{note}</p>}
      {children}
    </section>
  );
}

/** What stands where there is nothing yet: what it would be good for, and how to start. */
export function Empty({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <div className="my-2 flex flex-wrap items-center gap-3 text-muted">
      <p className="m-0 max-w-[60ch]">{children}</p>
      {action}
    </div>
  );
}
