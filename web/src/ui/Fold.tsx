/** A part that is folded away until it is wanted; what is in it is made when it is opened for the first time. */
import { useState, type ReactNode } from "react";

interface Props {
  title: ReactNode;
  className: string;
  /** Of the title. */
  titleClass: string;
  children: ReactNode;
}

export function Fold({ title, className, titleClass, children }: Props) {
  const [opened, setOpened] = useState(false);
  return (
    <details className={className} onToggle={(event) => event.currentTarget.open && setOpened(true)}>
      <summary className={`cursor-pointer ${titleClass}`}>{title}</summary>
      {opened && children}
    </details>
  );
}
