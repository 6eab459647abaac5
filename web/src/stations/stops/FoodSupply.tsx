/** How food comes to a stop: what that means there, when to send it, and where from. */
import { comesByPost, isoOfDay, type Plan, type Stop, type StopFigures } from "@gepack/core";
import { Pick } from "../../ui/Pick.tsx";
import { sayIn } from "../../words/say.ts";
import { FOOD_BY_WORDS } from "../../words/stops.ts";
import { Row } from "./parts.tsx";

interface Props {
  plan: Plan;
  stop: Stop;
  /** Undefined where it is skipped. */
  figures: StopFigures | undefined;
  set: (what: string, fields: Partial<Stop>) => void;
}

export function FoodSupply({ plan, stop, figures, set }: Props) {
  const say = sayIn(plan);
  const foodBy = figures?.foodBy ?? stop.foodBy;
  const isForwarded = stop.foodBy === "ahead" || stop.foodBy === "bounce";
  const box = figures?.box;
  return (
    <>
      <p className="m-0">
        {foodBy === undefined ? "" : `${capital(FOOD_BY_WORDS[foodBy])}. `}
        {box &&
          (box.sentDay === undefined
            ? `Mail it on ${say.date(isoOfDay(box.sending.day))}: ${say.percent(100 * box.chance)} chance of being there when you come.`
            : `Mailed on ${say.date(isoOfDay(box.sentDay))}, it has a ${say.percent(100 * box.chance)} chance of being there when you come.`)}
        {foodBy !== undefined &&
          comesByPost(foodBy) &&
          !box &&
          figures?.leaves?.foodSold === false &&
          "But this stop has no post office listed."}
      </p>
      {isForwarded && (
        <Row label="forwarded from">
          <Pick
            bare
            label={`Where the box for ${stop.name} is forwarded from`}
            value={stop.foodFromStopId ?? ""}
            options={[
              ["", "choose a stop"],
              ...plan.stops.filter(({ id }) => id !== stop.id).map(({ id, name }) => [id, name] as const),
            ]}
            onPick={(id) => set("forwarded from", { foodFromStopId: id === "" ? undefined : id })}
          />
        </Row>
      )}
    </>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
