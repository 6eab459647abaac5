/** A question before an edit that may not be meant: asked over whatever page is open. */
import { create } from "zustand";

export interface Question {
  title: string;
  text: string;
  /** What is done, on the button. */
  button: string;
  onYes: () => void;
}

export const useAsking = create<{ question: Question | undefined }>(() => ({ question: undefined }));

export const ask = (question: Question | undefined): void => useAsking.setState({ question });
