/** Whatever helps on every station, fetched when it is needed. */
import { lazy, Suspense } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { useHelping } from "../store/helping.ts";

export const fetchPalette = () => import("./Palette.tsx");
const Palette = lazy(fetchPalette);
const KeyList = lazy(() => import("./KeyList.tsx"));
const HowItWorks = lazy(() => import("./HowItWorks.tsx"));
const Glossary = lazy(() => import("./Glossary.tsx"));
const Examples = lazy(() => import("./Examples.tsx"));

export function Helping({ station, plan, result }: { station: string; plan: Plan; result: PlanResult }) {
  const open = useHelping((state) => state.open);
  if (!open) return null;
  return (
    <Suspense fallback={null}>
      {open === "palette" && <Palette plan={plan} result={result} />}
      {open === "keys" && <KeyList />}
      {open === "how" && <HowItWorks station={station} />}
      {open === "words" && <Glossary />}
      {open === "examples" && <Examples />}
    </Suspense>
  );
}
