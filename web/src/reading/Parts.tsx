/** The tracks of files to choose from: which make the trail, in what order and direction, which go beside it. */
import { ArrowDown, ArrowUp } from "lucide-react";
import type { PartChoice, PartRole, Units } from "@gepack/core";
import { Pick } from "../ui/Pick.tsx";
import { fixed, toPx, quantity } from "../units/quantity.ts";
import type { PartPreview } from "../worker/jobs.ts";

const ROLES: readonly (readonly [PartRole, string])[] = [
  ["trail", "part of the trail"],
  ["alternate", "alternate"],
  ["left", "leave out"],
];

interface Props {
  parts: readonly PartPreview[];
  choices: readonly PartChoice[];
  units: Units;
  onChoose: (choices: readonly PartChoice[]) => void;
}

export function Parts({ parts, choices, units, onChoose }: Props) {
  if (parts.length < 2) return null;
  const trail = choices.filter(({ role }) => role === "trail").length;
  const change = (at: number, fields: Partial<PartChoice>): void =>
    onChoose(choices.map((choice, i) => (i === at ? { ...choice, ...fields } : choice)));
  const move = (at: number, by: number): void => {
    const moved = [...choices];
    moved.splice(at + by, 0, ...moved.splice(at, 1));
    onChoose(moved);
  };
  return (
    <div className="my-2 max-h-[340px] overflow-auto">
      <table className="w-full border-collapse text-sm" aria-label="Tracks in the files">
        <caption className="mb-1 text-left text-muted">
          {parts.length} tracks, ordered by matching endpoints; {trail} of them make up the trail, top to bottom.
        </caption>
        <tbody>
          {choices.map((choice, i) => {
            const part = parts[choice.part]!;
            const name = part.track.name || `Track ${choice.part + 1}`;
            return (
              <tr
                key={choice.part}
                className={`border-b border-rule ${choice.role === "left" ? "text-muted" : ""}`}
                data-testid={`part-${choice.part}`}
              >
                <td className="w-[34px] py-1">
                  <Shape of={part} turned={choice.turned} />
                </td>
                <td className="py-1">
                  <b className="font-semibold">{name}</b>{" "}
                  <span className="figure">{quantity("distance", part.lengthM, units)}</span>
                  <span className="block text-xs text-muted">{endsOf(part, choice.turned)}</span>
                </td>
                <td className="py-1">
                  <Pick
                    bare
                    label={`${name}: use as`}
                    value={choice.role}
                    options={ROLES}
                    onPick={(role) => !(trail === 1 && choice.role === "trail") && change(i, { role })}
                  />
                </td>
                <td className="py-1 text-right whitespace-nowrap">
                  {choice.role === "trail" && trail > 1 && (
                    <>
                      <Tool label={`Move ${name} up`} disabled={i === 0} onClick={() => move(i, -1)}>
                        <ArrowUp size={15} aria-hidden="true" />
                      </Tool>
                      <Tool label={`Move ${name} down`} disabled={i === choices.length - 1} onClick={() => move(i, 1)}>
                        <ArrowDown size={15} aria-hidden="true" />
                      </Tool>
                    </>
                  )}
                  {choice.role === "trail" && (
                    <button
                      className="btn ml-1 min-h-[24px]! px-1.5! py-0! text-xs!"
                      aria-pressed={choice.turned}
                      aria-label={`Reverse ${name}`}
                      onClick={() => change(i, { turned: !choice.turned })}
                    >
                      {choice.turned ? "turned" : "turn"}
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

interface ToolProps {
  label: string;
  disabled: boolean;
  onClick: () => void;
  children: React.ReactNode;
}

function Tool({ label, ...rest }: ToolProps) {
  return <button className="p-1 text-muted disabled:opacity-30" aria-label={label} title={label} {...rest} />;
}

/** Both ends as coordinates to a hundredth of a degree, in walking order. */
function endsOf({ track }: PartPreview, turned: boolean): string {
  const last = track.lonDeg.length - 1;
  const place = (i: number): string => {
    const [lat, lon] = [track.latDeg[i]!, track.lonDeg[i]!];
    return `${fixed(Math.abs(lat), 2)}° ${lat < 0 ? "S" : "N"} ${fixed(Math.abs(lon), 2)}° ${lon < 0 ? "W" : "E"}`;
  };
  return turned ? `${place(last)} to ${place(0)}` : `${place(0)} to ${place(last)}`;
}

/** Seen from above; the dot is where it starts. */
function Shape({ of, turned }: { of: PartPreview; turned: boolean }) {
  const points = Array.from({ length: of.shape.length / 2 }, (_, i) => [
    2 + 24 * of.shape[2 * i]!,
    2 + 24 * of.shape[2 * i + 1]!,
  ]);
  const [x, y] = (turned ? points.at(-1) : points[0]) ?? [0, 0];
  return (
    <svg width="28" height="28" viewBox="0 0 28 28" aria-hidden="true" className="block">
      <polyline
        points={points.map((point) => point.map(toPx).join(",")).join(" ")}
        fill="none"
        stroke="var(--pine)"
        strokeWidth="1.5"
      />
      <circle cx={x} cy={y} r="2" fill="var(--ink)" />
    </svg>
  );
}
