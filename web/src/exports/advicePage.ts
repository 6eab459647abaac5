/** A kit list as one page that needs nothing else: a friend reads it, marks it, and saves the marks as a file. */
import { ADVICE_FORMAT, kitWeights, VERDICTS, type LegResult, type Plan, type PlanResult } from "@gepack/core";
import { ADVICE_WORDS } from "../words/kit.ts";
import { stopName } from "../words/names.ts";
import { sayIn } from "../words/say.ts";
import { WEAR_WORDS } from "../words/spans.ts";
import { escaped } from "./html.ts";

const STYLE =
  "body{font:16px/1.5 system-ui,sans-serif;max-width:52em;margin:1.5em auto;padding:0 1em;overflow-wrap:anywhere}" +
  "table{border-collapse:collapse;width:100%}td,th{border-top:1px solid #ccc;padding:.25em .4em;text-align:left;vertical-align:top}" +
  ".num{text-align:right;white-space:nowrap}input,select,button{font:inherit}input.remark{width:100%;box-sizing:border-box}" +
  "button{padding:.5em 1em}@media(max-width:600px){td.note{display:block}}";

/** Gathers what was marked, and hands it to the reader as a file. */
const SCRIPT = `
document.getElementById("save").addEventListener("click", () => {
  const marks = [...document.querySelectorAll("tr[data-id]")].map((row) => ({
    id: row.dataset.id,
    name: row.dataset.name,
    said: row.querySelector("select").value || undefined,
    remark: row.querySelector("input").value,
  })).filter(({ said, remark }) => said || remark.trim());
  const now = new Date();
  const two = (value) => String(value).padStart(2, "0");
  const on = [now.getFullYear(), two(now.getMonth() + 1), two(now.getDate())].join("-");
  const from = document.getElementById("from").value.slice(0, 200);
  const text = JSON.stringify({ format: "${ADVICE_FORMAT}", version: 1, from, on, marks }, null, 1);
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  link.download = "kit-marks.json";
  link.click();
});`;

export function advicePage(plan: Plan, result: PlanResult, leg: LegResult, who: number): string {
  const say = sayIn(plan);
  const pieces = plan.kit.filter((_, p) => result.carrier[p * result.legs.length + leg.index] === who);
  const weights = kitWeights(plan, result, leg.index, who);
  const kg = (grams: number): string => say.kg(grams / 1000, 2);
  const choice = `<select aria-label="Mark"><option value=""></option>${VERDICTS.map(
    (said) => `<option value="${said}">${ADVICE_WORDS[said]}</option>`,
  ).join("")}</select>`;
  const groups = weights.groups.map(({ group, packedG, wornG, consumableG }) => {
    const rows = pieces
      .filter((piece) => piece.group === group)
      .map(
        ({ id, name, massG, quantity, wear, notes = "" }) =>
          `<tr data-id="${escaped(id)}" data-name="${escaped(name)}"><td dir="auto">${escaped(name)}${quantity > 1 ? ` ×${quantity}` : ""}${wear === "packed" ? "" : ` (${WEAR_WORDS[wear]})`}${notes === "" ? "" : `<br><small>${escaped(notes)}</small>`}</td><td class="num">${say.g(massG * quantity)}</td><td>${choice}</td><td class="note"><input class="remark" maxlength="500" aria-label="Remark on ${escaped(name)}"></td></tr>`,
      );
    return `<tr><th colspan="4" dir="auto">${escaped(group)}, ${say.g(packedG + wornG + consumableG)}</th></tr>${rows.join("")}`;
  });
  const name = escaped(`Kit list: ${plan.trip.name}`);
  const sums = [
    `Base weight ${kg(weights.baseG)}`,
    `worn ${kg(weights.wornG)}`,
    `consumables ${kg(weights.consumableG)}`,
    `skin-out ${kg(weights.skinOutG)}`,
  ].join(", ");
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${name}</title><style>${STYLE}</style></head><body>
<h1 dir="auto">${name}</h1>
<p>Leg ${leg.index + 1}, from ${escaped(stopName(plan, leg.fromStopId))}: ${say.distance(leg.distanceM)}, nights down to ${say.C(leg.coldNightC)}. ${sums}.</p>
<p>Mark what you’d leave, swap or keep, and why. Then save your marks and send the file back.</p>
<p><label>Your name <input id="from" maxlength="200"></label></p>
<table>${groups.join("")}</table>
<p><button id="save" type="button">Save my marks</button></p>
<script>${SCRIPT}</script>
</body></html>
`;
}
