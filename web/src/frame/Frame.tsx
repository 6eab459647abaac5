/** What stands on every page: the bar with the plan's name, the Line, the stations. It persists across pages. */
import { lazy, Suspense, useEffect, useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { Line } from "../line/Line.tsx";
import { TOTAL_PX } from "../line/geometry.ts";
import { useAsking } from "../edit/asking.ts";
import { begin } from "../store/opening.ts";
import { useDocument } from "../store/documentState.ts";
import { dismissNotice, useNotice } from "../store/notices.ts";
import { usePapers } from "../store/papers.ts";
import { Drawn } from "../ui/Drawn.tsx";
import { Failed } from "./Failed.tsx";
import { Helping } from "./Helping.tsx";
import { Stations } from "./Stations.tsx";
import { swapStation } from "./swapStation.ts";
import { TopBar } from "./TopBar.tsx";
import { useAfterDrawing } from "./useAfterDrawing.ts";
import { useFocusKept } from "./useFocusKept.ts";
import { useKeys } from "./useKeys.ts";
import { useTheme } from "./useTheme.ts";
import { Welcome } from "./Welcome.tsx";

const Toasts = lazy(() => import("./Toasts.tsx"));
const Asking = lazy(() => import("./Asking.tsx"));
const PaperDialog = lazy(() => import("../paper/PaperDialog.tsx"));

export default function Frame({ station }: { station: string }) {
  const { status, plan, result } = useDocument(useShallow(({ status, plan, result }) => ({ status, plan, result })));
  const notice = useNotice((state) => state.notice);
  const isOutdated = useDocument((state) => state.isOutdated);
  const asksPaper = usePapers((state) => state.request !== undefined);
  const isAsked = useAsking((state) => state.question !== undefined);
  useEffect(begin, []);
  useEffect(() => {
    document.addEventListener("astro:before-swap", swapStation);
    return () => document.removeEventListener("astro:before-swap", swapStation);
  }, []);
  useKeys();
  useFocusKept();
  useTheme();
  useAfterDrawing(result !== undefined);
  return (
    <>
      <TopBar />
      {notice && <Strip words={notice} button="Dismiss" onClick={dismissNotice} />}
      {isOutdated && (
        <Strip
          words="A newer Gepack is here. It loads by itself once nothing is half done; or load it now."
          button="Reload"
          onClick={() => window.location.reload()}
        />
      )}
      {status === "failed" && <Failed />}
      {plan && result ? (
        <Drawn what="The Line" of={result}>
          <Line plan={plan} result={result} />
        </Drawn>
      ) : (
        <div className="border-b border-rule bg-sheet px-[18px] py-20 text-muted" style={{ height: TOTAL_PX + 1 }}>
          {status === "opening" && <Opening />}
        </div>
      )}
      <Stations station={station} />
      {plan?.trip.fictional && <Welcome />}
      {plan && result && <Helping station={station} plan={plan} result={result} />}
      {plan && result && asksPaper && (
        <Suspense fallback={null}>
          <PaperDialog plan={plan} result={result} />
        </Suspense>
      )}
      {isAsked && (
        <Suspense fallback={null}>
          <Asking />
        </Suspense>
      )}
      <Telling />
    </>
  );
}

function Strip({ words, button, onClick }: { words: string; button: string; onClick: () => void }) {
  return (
    <div
      role="status"
      className="flex items-center gap-3 border-b border-rule bg-caution-wash px-[18px] py-1.5 text-sm text-caution"
      data-chrome
    >
      <span className="flex-1">{words}</span>
      <button className="btn" onClick={onClick}>
        {button}
      </button>
    </div>
  );
}

/** How far the first reading is. */
function Opening() {
  const readBytes = useDocument((state) => state.readBytes);
  return <>Loading the trail…{readBytes > 0 && ` ${Math.round(readBytes / 1000)} kB`}</>;
}

function Telling() {
  const waiting = useNotice((state) => state.notices.length > 0);
  const [confirms, setConfirms] = useState(false);
  if (waiting && !confirms) setConfirms(true);
  return (
    confirms && (
      <Suspense fallback={null}>
        <Toasts />
      </Suspense>
    )
  );
}
