/**
 * The text of a field in hand. What comes from outside, an undo or another tab, shows in a field at rest; a
 * field in which something is typed keeps it until it is taken or dropped. What was taken and then refused goes,
 * though what holds never changed along the trail.
 */
import { useState } from "react";
import { useDocument } from "../store/documentState.ts";
import { useDraft } from "../store/drafts.ts";

export interface Typed {
  text: string;
  type: (text: string) => void;
  /** Taken or dropped: shows this, or what holds now. */
  rest: (text?: string) => void;
}

export function useTyped(shown: string): Typed {
  const [text, setText] = useState(shown);
  const [inHand, setInHand] = useState(false);
  useDraft(inHand);
  const refusals = useDocument((state) => state.refusals);
  const [known, setKnown] = useState({ shown, refusals });
  if (known.shown !== shown || known.refusals !== refusals) {
    setKnown({ shown, refusals });
    if (!inHand) setText(shown);
  }
  return {
    text,
    type: (typed) => {
      setText(typed);
      setInHand(true);
    },
    rest: (rested = shown) => {
      setText(rested);
      setInHand(false);
    },
  };
}
