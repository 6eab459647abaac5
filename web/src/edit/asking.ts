/** A question before an edit that may not be meant: asked over whatever page is open. */
import { create } from "zustand";
import { useDocument } from "../store/documentState.ts";

export interface Question {
  title: string;
  text: string;
  /** What is done, on the button. */
  button: string;
  onYes: () => void;
}

export const useAsking = create<{ question: Question | undefined }>(() => ({ question: undefined }));

export const ask = (question: Question): void => useAsking.setState({ question });

/** Answered, or not: a field that asked shows what holds, until an edit says otherwise. */
export function answered(): void {
  useAsking.setState({ question: undefined });
  useDocument.setState(({ refusals }) => ({ refusals: refusals + 1 }));
}
