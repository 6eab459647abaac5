/** What gas is bought in: the sizes that are sold, or an own one; whether part-full ones are left behind. */
import { CAN_SIZES, models, type Hiker, type Plan } from "@gepack/core";
import { changeHiker, HikerRows } from "../../ui/HikerFields.tsx";
import type { FieldRow } from "../../ui/FieldNumber.tsx";
import { sayIn } from "../../words/say.ts";

const OWN: FieldRow[] = [
  ["stove.containerNetG", "Gas per canister"],
  ["stove.containerEmptyG", "Empty canister"],
];

type Size = (typeof CAN_SIZES)[number];

export function Canisters({ plan, hiker }: { plan: Plan; hiker: Hiker }) {
  const say = sayIn(plan);
  const { stove } = hiker;
  const { container, otherSizes } = models.fuel.get(stove.fuel);
  const isOwn = stove.containerNetG !== undefined && stove.containerEmptyG !== undefined;
  const netG = (size: Size): number => (size === "middle" ? container : (otherSizes?.[size] ?? container)).netG;
  const change = changeHiker(hiker);
  const toggle = (size: Size): void =>
    change(`${size} canisters`, (target) => {
      const { sizes } = target.stove;
      target.stove.sizes = CAN_SIZES.filter((one) => (one === size ? !sizes.includes(size) : sizes.includes(one)));
    });
  const setOwn = (netG?: number, emptyG?: number): void =>
    change(netG === undefined ? "canister sizes sold" : "your own canister size", ({ stove: target }) => {
      target.containerNetG = netG;
      target.containerEmptyG = emptyG;
    });
  return (
    <>
      {isOwn ? (
        <>
          <HikerRows plan={plan} hiker={hiker} list={OWN} />
          <button className="btn" onClick={() => setOwn()}>
            Use sizes sold in shops
          </button>
        </>
      ) : (
        <fieldset className="m-0 border-0 p-0 text-sm">
          <legend className="p-0 text-xs text-muted">Canister sizes sold</legend>
          {CAN_SIZES.map((size) => (
            <label key={size} className="mr-3 inline-flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={stove.sizes.includes(size)}
                disabled={stove.sizes.length === 1 && stove.sizes[0] === size}
                onChange={() => toggle(size)}
              />
              {say.g(netG(size))}
            </label>
          ))}
          <button className="btn mt-1" onClick={() => setOwn(container.netG, container.emptyG)}>
            My own size
          </button>
        </fieldset>
      )}
      <label className="flex items-center gap-2 text-sm">
        <input
          type="checkbox"
          checked={stove.exchange}
          onChange={() => change("part-full canisters", (target) => void (target.stove.exchange = !stove.exchange))}
        />
        Leave part-full canisters behind if a new one alone is lighter
      </label>
    </>
  );
}
