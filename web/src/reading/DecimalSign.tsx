/** Asked where a table has numbers such as 1.250 and nothing in it tells what the sign parts. */
import { Pick } from "../ui/Pick.tsx";

interface Props {
  /** Undefined until it is told. */
  comma: boolean | undefined;
  onComma: (comma: boolean | undefined) => void;
}

export function DecimalSign({ comma, onComma }: Props) {
  return (
    <Pick
      label="How this table writes decimals"
      value={comma === undefined ? "" : comma ? "comma" : "point"}
      options={[
        ["", "it doesn’t say: check the figures"],
        ["point", "with a point: 1.250 is one and a quarter"],
        ["comma", "with a comma: 1.250 is over a thousand"],
      ]}
      onPick={(sign) => onComma(sign === "" ? undefined : sign === "comma")}
    />
  );
}
