/** Every line of a kit list as it was understood, corrected in place, before it is taken; what is not sure comes first. */
import { shownField } from "../edit/fields.ts";
import { ROLES, type Piece, type Units } from "@gepack/core";
import { NameField } from "../ui/NameField.tsx";
import { NumberField } from "../ui/NumberField.tsx";
import { Pick } from "../ui/Pick.tsx";
import { ROLE_WORDS, WEAR_WORDS } from "../words/spans.ts";
import { quantity } from "../units/quantity.ts";

interface Props {
  pieces: readonly Piece[];
  units: Units;
  onChange: (piece: Piece) => void;
}

export type Corrections = ReadonlyMap<string, Piece>;

/** The pieces with what was corrected of them. */
export const corrected = (pieces: readonly Piece[], corrections: Corrections): Piece[] =>
  pieces.map((piece) => corrections.get(piece.id) ?? piece);

const ROLE_OPTIONS: [string, string][] = [
  ["", "other gear"],
  ...ROLES.map((role): [string, string] => [role, ROLE_WORDS[role]]),
];
const WEAR_OPTIONS = Object.entries(WEAR_WORDS) as [Piece["wear"], string][];

/** A weight that is missing is looked at first. */
const isOpen = ({ massG }: Piece): boolean => massG === 0;

export function Understood({ pieces, units, onChange }: Props) {
  const open = pieces.filter(isOpen).length;
  const rows = [...pieces].sort((a, b) => Number(isOpen(b)) - Number(isOpen(a)));
  return (
    <>
      {open > 0 && (
        <p className="m-0 w-full text-sm text-caution">
          {open === 1 ? "1 line has no weight: it comes first." : `${open} lines have no weight: they come first.`}
        </p>
      )}
      <ul
        aria-label="How each line was read"
        className="m-0 max-h-[280px] w-full list-none overflow-y-auto border-y border-rule p-0"
      >
        {rows.map((piece) => (
          <Row key={piece.id} piece={piece} units={units} onChange={onChange} />
        ))}
      </ul>
    </>
  );
}

function Row({ piece, units, onChange }: { piece: Piece; units: Units; onChange: (piece: Piece) => void }) {
  const { name, massG, quantity: count, role, wear, spans } = piece;
  const { min, max } = shownField("kit.massG");
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-0.5 last:border-b-0">
      <span className="min-w-[150px] flex-1" dir="auto">
        <NameField
          label={`Name of ${name}`}
          bare
          value={name}
          onCommit={(next) => onChange({ ...piece, name: next })}
        />
      </span>
      <span className="flex items-center gap-1">
        {count > 1 && `${count} ×`}
        <NumberField
          label={`Weight of ${name}`}
          bare
          className="w-[72px]"
          kind="smallMass"
          value={massG}
          units={units}
          min={min}
          max={max}
          onCommit={(next) => onChange({ ...piece, massG: next })}
        />
        {units.smallMass}
      </span>
      <Pick
        bare
        label={`${name} is`}
        value={role ?? ""}
        options={ROLE_OPTIONS}
        onPick={(next) => {
          const other = { ...piece };
          if (next === "") delete other.role;
          else other.role = next as NonNullable<Piece["role"]>;
          onChange(other);
        }}
      />
      <Pick
        bare
        label={`${name}: carried`}
        value={wear}
        options={WEAR_OPTIONS}
        onPick={(next) => onChange({ ...piece, wear: next })}
      />
      <span className="min-w-[90px] text-sm text-muted">
        {ratingWords(piece, units)}
        {spans.length === 0 ? " on the shelf" : ""}
      </span>
    </li>
  );
}

function ratingWords({ comfortC, padR, capacityL, shared }: Piece, units: Units): string {
  return [
    comfortC === undefined ? "" : `comfort ${quantity("temperature", comfortC, units)}`,
    padR === undefined ? "" : `R ${padR}`,
    capacityL === undefined ? "" : quantity("volume", capacityL, units),
    shared ? "shared" : "",
  ]
    .filter((word) => word !== "")
    .join(", ");
}
