/** Step three: who walks, when, how fast, and how far the sea is. */
import type { Units } from "@gepack/core";
import { DateField } from "../ui/DateField.tsx";
import { FieldNumber, Fields } from "../ui/FieldNumber.tsx";
import { Pick } from "../ui/Pick.tsx";
import { quantity } from "../units/quantity.ts";
import { LEVEL_KMH, PACES, SEAS, type Answers, type PaceWord } from "./answers.ts";

interface Props {
  answers: Answers;
  units: Units;
  lengthM: number;
  onChange: (answers: Answers) => void;
}

export function You({ answers, units, lengthM, onChange }: Props) {
  const set = (part: Partial<Answers>): void => onChange({ ...answers, ...part });
  const number = (path: "ageY" | "bodyKg" | "heightCm", label: string) => (
    <FieldNumber
      path={`hikers.${path}`}
      label={label}
      value={answers[path]}
      units={units}
      onCommit={(value) => set({ [path]: value })}
    />
  );
  const { settings } = PACES[answers.pace];
  return (
    <>
      <Fields title="Trip">
        <label className="text-sm font-semibold">
          Name
          <input
            className="field mt-1 font-normal"
            value={answers.name}
            maxLength={200}
            onChange={(event) => set({ name: event.target.value })}
          />
        </label>
        <DateField
          label="Start date"
          value={answers.startDate}
          near={answers.startDate}
          required
          onCommit={(startDate) => set({ startDate })}
        />
        <Pick label="Distance to the sea" value={answers.sea} options={SEAS} onPick={(sea) => set({ sea })} />
      </Fields>
      <p className="mt-1 mb-4 max-w-[70ch] text-xs text-muted">
        The sea keeps winters mild and nights warm. We guessed this from the track’s lowest point: correct it if needed.
      </p>
      <Fields title="You">
        <label className="text-sm font-semibold">
          Your name
          <input
            className="field mt-1 font-normal"
            placeholder="optional"
            value={answers.hikerName}
            maxLength={200}
            onChange={(event) => set({ hikerName: event.target.value })}
          />
        </label>
        <Pick
          label="Sex (for energy use)"
          value={answers.sex}
          options={[
            ["female", "female"],
            ["male", "male"],
          ]}
          onPick={(sex) => set({ sex })}
        />
        {number("ageY", "Age")}
        {number("bodyKg", "Body weight")}
        {number("heightCm", "Height")}
        <Pick
          label="Pace"
          value={answers.pace}
          options={(Object.keys(PACES) as PaceWord[]).map((word) => [word, PACES[word].word])}
          onPick={(pace) => set({ pace })}
        />
      </Fields>
      <p className="mt-2 mb-4 max-w-[70ch] text-sm text-muted" data-testid="pace">
        {quantity("distance", 1000 * LEVEL_KMH * settings.speedFactor, units)}/h on level trail without a load;{" "}
        {settings.hoursFreshH} h of walking on day one, {settings.hoursFitH} h after three weeks.{" "}
        {quantity("distance", lengthM, units)} in total.
      </p>
    </>
  );
}
