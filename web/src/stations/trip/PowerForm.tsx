/** Devices, banks and cells, and where they stand on every leg. */
import { Plus, X } from "lucide-react";
import { DEVICE_KINDS, deviceSchema, isoOfDay, type Device, type Plan, type PlanResult } from "@gepack/core";
import { NameField } from "../../components/NameField.tsx";
import { NumberField } from "../../components/NumberField.tsx";
import { Pick } from "../../components/Pick.tsx";
import { edit } from "../../store/app.ts";
import { dayMonth, fixed } from "../../units/quantity.ts";
import { stopName } from "../../words/names.ts";

const KIND_NAME: Record<Device["kind"], string> = {
  rechargeable: "charged device",
  "spare-cells": "device on cells",
  bank: "power bank",
  solar: "solar panel",
};

interface Column {
  key: "count" | "whPerDay" | "mAh" | "daysPerSet" | "spareSets" | "watts";
  name: string;
  min: number;
  max: number;
  digits: number;
  kinds: readonly Device["kind"][];
}

// prettier-ignore
const COLUMNS: Column[] = [
  { key: "count", name: "How many", min: 1, max: 20, digits: 0, kinds: DEVICE_KINDS },
  { key: "whPerDay", name: "Wh a day", min: 0, max: 500, digits: 1, kinds: ["rechargeable"] },
  { key: "mAh", name: "Cells, mAh", min: 0, max: 200_000, digits: 0, kinds: ["rechargeable", "bank"] },
  { key: "watts", name: "Charges or gives, W", min: 0, max: 200, digits: 0, kinds: ["rechargeable", "bank", "solar"] },
  { key: "daysPerSet", name: "Days a set", min: 0.1, max: 1000, digits: 1, kinds: ["spare-cells"] },
  { key: "spareSets", name: "Spare sets", min: 0, max: 50, digits: 0, kinds: ["spare-cells"] },
];

export function PowerForm({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { units } = plan.trip;
  const change = (device: Device, label: string, recipe: (device: Device) => void): void =>
    void edit(`${device.name}: ${label.toLowerCase()}`, (draft) => {
      const target = draft.devices.find((candidate) => candidate.id === device.id);
      if (target) recipe(target as Device);
    });
  const add = (): void =>
    void edit("Add device", (draft) => {
      const row = { id: crypto.randomUUID(), name: "Device", ownerId: plan.hikers[0]!.id, kind: "rechargeable" };
      draft.devices.push(deviceSchema.parse({ ...row, mAh: 4000, whPerDay: 4 }));
    });
  return (
    <>
      <section aria-label="Devices">
        <h2 className="m-0 mb-1 text-lg font-bold">Devices</h2>
        <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">
          One store for the party: banks fill devices, sockets at stops fill all. Cells count at 3.7 V, never the
          socket’s 5 V. Cold takes capacity and gives it back; below freezing nothing may be charged. A device that is a
          piece of kit works on the legs on which it is carried. Do not stake a rescue call on one battery.
        </p>
        <button className="btn mb-2" onClick={add}>
          <Plus size={15} aria-hidden="true" /> Add device
        </button>
        {plan.devices.length > 0 && (
          <div className="relative overflow-x-auto">
            <table className="border-collapse text-sm">
              <thead>
                <tr className="border-b border-rule text-left text-xs text-muted">
                  <th className="py-1 pr-3 font-medium">Name</th>
                  <th className="py-1 pr-3 font-medium">Kind</th>
                  <th className="py-1 pr-3 font-medium">Piece of kit</th>
                  {COLUMNS.map((column) => (
                    <th key={column.key} className="py-1 pr-3 font-medium">
                      {column.name}
                    </th>
                  ))}
                  <th />
                </tr>
              </thead>
              <tbody>
                {plan.devices.map((device) => (
                  <tr key={device.id} className="border-b border-rule align-top">
                    <td className="py-1 pr-3">
                      <NameField
                        bare
                        label={`Name of ${device.name}`}
                        value={device.name}
                        onCommit={(name) => change(device, "name", (target) => void (target.name = name))}
                      />
                    </td>
                    <td className="min-w-[130px] py-1 pr-3">
                      <Pick
                        bare
                        label={`Kind of ${device.name}`}
                        value={device.kind}
                        options={DEVICE_KINDS.map((kind) => [kind, KIND_NAME[kind]])}
                        onPick={(kind) => change(device, "kind", (target) => void (target.kind = kind))}
                      />
                    </td>
                    <td className="max-w-[200px] min-w-[150px] py-1 pr-3">
                      <Pick
                        bare
                        label={`Piece of kit that ${device.name} is`}
                        value={device.pieceId ?? ""}
                        options={[
                          ["", "none: always there"],
                          ...plan.kit.map(
                            (piece) => [piece.id, `${piece.name}, ${ownerName(plan, piece.ownerId)}`] as const,
                          ),
                        ]}
                        onPick={(pieceId) =>
                          change(device, "piece of kit", (target) => {
                            if (pieceId === "") delete target.pieceId;
                            else target.pieceId = pieceId;
                          })
                        }
                      />
                    </td>
                    {COLUMNS.map((column) => (
                      <td key={column.key} className="py-1 pr-3">
                        {column.kinds.includes(device.kind) && (
                          <NumberField
                            bare
                            className="w-[76px]"
                            label={`${column.name} of ${device.name}`}
                            value={device[column.key]}
                            units={units}
                            min={column.min}
                            max={column.max}
                            digits={column.digits}
                            onCommit={(value) =>
                              change(device, column.name, (target) => {
                                target[column.key] = column.digits === 0 ? Math.round(value) : value;
                              })
                            }
                          />
                        )}
                      </td>
                    ))}
                    <td className="py-1">
                      <button
                        className="btn"
                        aria-label={`Remove ${device.name}`}
                        onClick={() =>
                          void edit(`Remove ${device.name}`, (draft) => {
                            draft.devices = draft.devices.filter((candidate) => candidate.id !== device.id);
                          })
                        }
                      >
                        <X size={14} aria-hidden="true" />
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </section>
      {result.power && <Standing plan={plan} result={result} power={result.power} />}
    </>
  );
}

function ownerName(plan: Plan, ownerId: string): string {
  return plan.hikers.find((hiker) => hiker.id === ownerId)?.name.split(" ")[0] ?? "nobody";
}

function Standing({
  plan,
  result,
  power,
}: {
  plan: Plan;
  result: PlanResult;
  power: NonNullable<PlanResult["power"]>;
}) {
  return (
    <section aria-label="Batteries by leg">
      <h2 className="m-0 mb-1 text-lg font-bold">Batteries by leg</h2>
      <div className="relative overflow-x-auto">
        <table className="border-collapse text-sm">
          <thead>
            <tr className="border-b border-rule text-left text-xs text-muted">
              <th className="py-1 pr-6 font-medium" colSpan={2}>
                Leg
              </th>
              <th className="py-1 pr-6 text-right font-medium">Store, Wh</th>
              <th className="py-1 pr-6 text-right font-medium">Lowest</th>
              <th className="py-1 pr-6 font-medium">Lowest or flat on</th>
              <th className="py-1 pr-6 text-right font-medium">Missing, Wh</th>
            </tr>
          </thead>
          <tbody>
            {power.legs.map((leg, i) => (
              <tr key={i} className="border-b border-rule">
                <td className="figure py-0.5 pr-2 text-right text-muted">{i + 1}</td>
                <td className="py-0.5 pr-6">to {stopName(plan, result.legs[i]!.toStopId)}</td>
                <td className="figure py-0.5 pr-6 text-right">{fixed(leg.capacityWh, 0)}</td>
                <td className="py-0.5 pr-6">
                  <span className="flex items-center justify-end gap-2">
                    <span className="inline-block h-2.5 w-20 bg-rule" aria-hidden="true">
                      <span
                        className={`block h-full ${leg.shortWh > 0 ? "bg-danger" : "bg-pine"}`}
                        style={{ width: `${Math.round(100 * leg.lowestFraction)}%` }}
                      />
                    </span>
                    <span className="figure w-10 text-right">{fixed(100 * leg.lowestFraction, 0)} %</span>
                  </span>
                </td>
                <td className="py-0.5 pr-6 whitespace-nowrap">{dayMonth(isoOfDay(leg.flatDay ?? leg.lowestDay))}</td>
                <td className={`figure py-0.5 pr-6 text-right ${leg.shortWh > 0 ? "font-semibold text-danger" : ""}`}>
                  {leg.shortWh > 0 ? fixed(leg.shortWh, 1) : "–"}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
