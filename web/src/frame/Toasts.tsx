/** Words in passing, at the foot of the page. It comes when there is first something to say. */
import { useEffect } from "react";
import { toast, Toaster } from "sonner";
import { takeNotices, useNotice } from "../store/notices.ts";

const SHOW = { done: toast.success, failed: toast.error, note: toast.message };
/** What went wrong stays long enough to be read and acted upon. */
const FAILED = { duration: 20_000, closeButton: true };

export default function Toasts() {
  const waiting = useNotice((state) => state.notices.length);
  useEffect(() => {
    if (waiting === 0) return;
    for (const { kind, message, description } of takeNotices())
      SHOW[kind](message, { description, ...(kind === "failed" ? FAILED : {}) });
  }, [waiting]);
  return <Toaster position="bottom-center" toastOptions={{ duration: 5000 }} />;
}
