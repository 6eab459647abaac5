import { readFileSync } from "node:fs";
import { readGpx, readPlan, Session } from "@gepack/core";
const n=430000; const lat=new Float64Array(n), lon=new Float64Array(n), h=new Float32Array(n);
for(let i=0;i<n;i++){const m=i*10;lat[i]=20+m/111040;lon[i]=-150+0.01*Math.sin(m/40000);h[i]=900+700*Math.sin(m/150000)+120*Math.sin(m/3000)+3*Math.sin(i*12.9898);}
const raw=JSON.parse(readFileSync("demo/corvane.gepack.json","utf8"));const k=4300/2050.6;
for(const p of ["stops","sources"])for(const r of raw[p])r.trackM=Math.round(r.trackM*k);
for(const r of raw.stretches){r.fromM=Math.round(r.fromM*k);r.toM=Math.round(r.toM*k);}
const plan=readPlan(raw).value!;
const s=new Session();s.setTracks([{id:"corvane",name:"",lonDeg:lon,latDeg:lat,heightM:h,segmentStarts:new Uint32Array([0])}]);
const t=[];for(let i=0;i<60;i++){const c=structuredClone(plan);c.kit[0].massG+=i;const a=performance.now();s.compute(c);t.push(performance.now()-a);}
console.log(t.slice(0,3).map(x=>x.toFixed(0)),t.sort((a,b)=>a-b)[30]);
