/** A food by its name: typed, found among the pantry's, taken with Enter. */
import { useId, useState } from "react";
import type { Food } from "@gepack/core";

interface Props {
  foods: readonly Food[];
  label: string;
  onPick: (food: Food) => void;
}

export function FoodPick({ foods, label, onPick }: Props) {
  const id = useId();
  const [text, setText] = useState("");
  const [error, setError] = useState<string>();
  const take = (typed: string, isWhole: boolean): void => {
    const wanted = typed.trim().toLowerCase();
    setText(typed);
    setError(undefined);
    if (wanted === "" || !isWhole) return;
    const same = foods.filter(({ name }) => name.toLowerCase() === wanted);
    const near = foods.filter(({ name }) => name.toLowerCase().includes(wanted));
    const found = same[0] ?? near[0];
    if (found) {
      onPick(found);
      setText("");
    } else setError(`“${typed.trim()}” isn’t in the pantry. Add it there first.`);
  };
  return (
    <span className="inline-block">
      <input
        className="field w-[132px]! min-h-[26px]! px-1.5! py-0! text-sm!"
        list={id}
        aria-label={label}
        aria-invalid={error !== undefined}
        placeholder="Add a food"
        value={text}
        onChange={(event) => take(event.target.value, isPicked(event.nativeEvent))}
        onKeyDown={(event) => event.key === "Enter" && take(text, true)}
        onBlur={() => {
          setText("");
          setError(undefined);
        }}
      />
      <datalist id={id}>
        {foods.map(({ id: key, name }) => (
          <option key={key} value={name} />
        ))}
      </datalist>
      {error !== undefined && (
        <span role="alert" className="block text-xs text-danger">
          {error}
        </span>
      )}
    </span>
  );
}

/** Taken from the list, not typed: a food whose name starts another's is not taken along the trail. */
function isPicked(event: Event): boolean {
  const { inputType } = event as Partial<InputEvent>;
  return inputType === undefined || inputType === "insertReplacementText";
}
