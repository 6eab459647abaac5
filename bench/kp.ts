import { readFileSync } from "node:fs";
import { Session, unpackTrack, type Plan } from "@gepack/core";
import * as inspector from "node:inspector";
const track = unpackTrack(new Uint8Array(readFileSync("web/public/demo/corvane.track")));
const plan = { ...JSON.parse(readFileSync("web/public/demo/corvane.gepack.json", "utf8")), trackIds: [track.id] } as Plan;
const s = new Session(); s.setTracks([track]); s.compute(plan);
const ins = new inspector.Session(); ins.connect();
const N = 60; const times: number[] = [], clone: number[] = [];
let nowPlan = plan;
const step = (i: number) => {
  const kit = structuredClone(nowPlan.kit); kit[0]!.massG = 1000 + 100 * (i % 9);
  nowPlan = { ...nowPlan, kit };
  const t = performance.now(); const { profile, ...r } = s.compute(nowPlan); times.push(performance.now() - t);
  const t2 = performance.now(); const { packs, cellH, cellC, surface } = r; const b = [...packs.flatMap((p) => [p.loadKg, p.foodKg, p.waterKg]), cellH, cellC, surface].map((a) => a.buffer as ArrayBuffer);
  structuredClone(r, { transfer: b }); clone.push(performance.now() - t2);
};
for (let i = 0; i < 10; i++) step(i);
ins.post("Profiler.enable"); ins.post("Profiler.setSamplingInterval", { interval: 100 }); ins.post("Profiler.start");
for (let i = 0; i < N; i++) step(i);
ins.post("Profiler.stop", (_e, { profile }: any) => {
  const byId = new Map(profile.nodes.map((n: any) => [n.id, n])); const self = new Map(), tot = new Map(), parent = new Map();
  for (const n of profile.nodes) for (const c of n.children ?? []) parent.set(c, n.id);
  const key = (n: any) => `${n.callFrame.functionName || "(anon)"}:${n.callFrame.lineNumber}`;
  profile.samples.forEach((id: number, i: number) => { const ms = profile.timeDeltas[i] / 1000 / N; const k = key(byId.get(id)); self.set(k, (self.get(k) ?? 0) + ms); const seen = new Set(); for (let p: any = id; p !== undefined; p = parent.get(p)) { const q = key(byId.get(p)); if (!seen.has(q)) { seen.add(q); tot.set(q, (tot.get(q) ?? 0) + ms); } } });
  const show = (m: Map<string, number>, n: number) => [...m].sort((a, b) => b[1] - a[1]).slice(0, n).forEach(([k, v]) => console.log(v.toFixed(3).padStart(9), k));
  console.log("self"); show(self, 30); console.log("total"); show(tot, 45);
});
console.log(times.map((t) => t.toFixed(0)).join(" ")); console.log("clone", clone.slice(-20).map((t) => t.toFixed(1)).join(" "));
