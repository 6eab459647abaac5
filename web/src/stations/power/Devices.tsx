/** Devices, banks and cells, and where they stand on every leg. */
import { X } from "lucide-react";
import {
  bankWh,
  DEVICE_KINDS,
  deviceSchema,
  isoOfDay,
  USUAL_DEVICES,
  type Device,
  type Plan,
  type Store,
} from "@gepack/core";
import { addRow, addRows, editPart, removeRows, setRow } from "../../edit/rows.ts";
import { shownField } from "../../edit/fields.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NumberField } from "../../ui/NumberField.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { Panel } from "../../ui/Panel.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { dayMonth, fixed } from "../../units/quantity.ts";
import { CERTAINTY_WORDS, PLACE_WORDS, TREE_WORDS } from "../../words/power.ts";
import { firstName, stopName } from "../../words/names.ts";
import type { ScreenProps } from "../Screen.tsx";
import { freshId } from "../../store/made.ts";
import { AddButton } from "../../ui/AddButton.tsx";
import { SpareSets } from "./SpareSets.tsx";

/** Whoever has no rank stays on, where any has one. */
const OFF_RANKS = ["", "1", "2", "3", "4", "5", "6"].map((rank) => [rank, rank === "" ? "–" : `${rank}.`] as const);

const KIND_NAME: Record<Device["kind"], string> = {
  rechargeable: "rechargeable device",
  "spare-cells": "battery-powered device",
  bank: "power bank",
  solar: "solar panel",
};

interface Amount {
  key: "count" | "whPerDay" | "whPerWalkH" | "mAh" | "daysPerSet" | "watts";
  name: string;
  kinds: readonly Device["kind"][];
}

const AMOUNTS: Amount[] = [
  { key: "count", name: "Quantity", kinds: DEVICE_KINDS },
  { key: "whPerDay", name: "Wh per day", kinds: ["rechargeable"] },
  { key: "whPerWalkH", name: "Wh per hour walked", kinds: ["rechargeable"] },
  { key: "mAh", name: "Cell capacity, mAh", kinds: ["rechargeable", "bank"] },
  { key: "watts", name: "Charging power, W", kinds: ["rechargeable", "bank", "solar"] },
  { key: "daysPerSet", name: "Days per set", kinds: ["spare-cells"] },
];

export function Devices({ plan }: Pick<ScreenProps, "plan">) {
  const add = (): void => {
    const row = { id: freshId(), name: "Device", ownerId: plan.hikers[0]!.id, kind: "rechargeable" };
    addRow("devices", "Add device", deviceSchema.parse({ ...row, mAh: 4000, whPerDay: 4 }));
  };
  const addUsual = (): void => {
    const [hiker] = plan.hikers;
    const rows = USUAL_DEVICES.map((device) => deviceSchema.parse({ ...device, id: freshId(), ownerId: hiker!.id }));
    addRows("devices", "Add phone, headlamp and power bank", rows);
  };
  return (
    <>
      <Panel
        title="Devices"
        note="Power banks charge devices; sockets at stops charge everything. Capacity is counted at 3.7 V cell voltage, not the 5 V output. Cold reduces capacity, and warming restores it; never charge below freezing. A device linked to a kit item works on the legs where you carry it. Don’t stake a rescue call on one battery."
      >
        <AddButton list="devices" rows={plan.devices} className="mb-2" onClick={add}>
          Add device
        </AddButton>{" "}
        {plan.devices.length === 0 && (
          <button className="btn mb-2" onClick={addUsual}>
            Add phone, headlamp and power bank with typical figures
          </button>
        )}
        {plan.devices.length > 0 && <Counting plan={plan} />}
        {plan.devices.length > 0 && (
          <div className="relative overflow-x-auto">
            <Table label="Devices" columns={deviceColumns(plan)} rows={plan.devices} idOf={({ id }) => id} />
          </div>
        )}
      </Panel>
    </>
  );
}

/** Whose the charge is, and by what the sun is counted. */
function Counting({ plan }: Pick<ScreenProps, "plan">) {
  const { charge } = plan;
  const set = (label: string, fields: Partial<Plan["charge"]>): void =>
    void editPart("charge", label, (charge) => void Object.assign(charge, fields));
  return (
    <div className="mb-2 flex flex-wrap gap-4">
      {plan.hikers.length > 1 && (
        <Pick
          label="Charge is shared"
          value={charge.stores}
          options={[
            ["shared", "by the whole party"],
            ["own", "not: each hiker’s own"],
          ]}
          onPick={(stores) => set("How charge is shared", { stores })}
        />
      )}
      {plan.devices.some(({ kind }) => kind === "solar") && (
        <Pick
          label="Solar is calculated from"
          value={charge.solar}
          options={[
            ["radiation", "radiation, place and trees"],
            ["daylight", "hours of daylight"],
          ]}
          onPick={(solar) => set("how solar is calculated", { solar })}
        />
      )}
    </div>
  );
}

function deviceColumns(plan: Plan): Column<Device>[] {
  const { units } = plan.trip;
  const set: SetDevice = ({ id, name }, label, fields) =>
    setRow("devices", id, `${name}: ${label.toLowerCase()}`, fields);
  return [
    {
      id: "name",
      head: "Name",
      names: true,
      cell: (device) => (
        <NameField
          bare
          label={`Name of ${device.name}`}
          value={device.name}
          onCommit={(name) => set(device, "name", { name })}
        />
      ),
    },
    {
      id: "kind",
      head: "Kind",
      cell: (device) => (
        <Pick
          bare
          label={`Kind of ${device.name}`}
          value={device.kind}
          options={DEVICE_KINDS.map((kind) => [kind, KIND_NAME[kind]])}
          onPick={(kind) => set(device, "kind", { kind })}
        />
      ),
    },
    {
      id: "piece",
      head: "Kit item",
      cell: (device) => (
        <Pick
          bare
          label={`Kit item for ${device.name}`}
          value={device.pieceId ?? ""}
          options={[
            ["", "none: always available"],
            ...plan.kit.map((piece) => [piece.id, `${piece.name}, ${ownerName(plan, piece.ownerId)}`] as const),
          ]}
          onPick={(pieceId) => set(device, "kit item", { pieceId: pieceId === "" ? undefined : pieceId })}
        />
      ),
    },
    ...AMOUNTS.map(({ key, name, kinds }): Column<Device> => ({
      id: key,
      head: name,
      right: true,
      cell: (device) =>
        kinds.includes(device.kind) && (
          <FieldNumber
            bare
            className="w-[76px]"
            path={`devices.${key}`}
            label={`${name} of ${device.name}`}
            value={device[key]}
            units={units}
            onCommit={(value) => set(device, name, { [key]: value })}
          />
        ),
    })),
    {
      id: "spares",
      head: "Spare sets",
      right: true,
      cell: (device) =>
        device.kind === "spare-cells" && (
          <SpareSets plan={plan} device={device} onSets={(spareSets) => set(device, "spare sets", { spareSets })} />
        ),
    },
    {
      id: "lasts",
      head: "Batteries per day",
      right: true,
      cell: (device) =>
        device.kind === "rechargeable" &&
        device.mAh > 0 && (
          <NumberField
            bare
            className="w-[76px]"
            label={`Batteries per day of ${device.name}`}
            value={device.whPerDay / bankWh(device.mAh)}
            units={units}
            min={0}
            max={shownField("devices.whPerDay").max / bankWh(device.mAh)}
            digits={2}
            onCommit={(perDay) => set(device, "batteries per day", { whPerDay: perDay * bankWh(device.mAh) })}
          />
        ),
    },
    ...(plan.devices.some(({ kind }) => kind === "solar") ? [panelColumn(set)] : []),
    {
      id: "off",
      head: "Turned off",
      right: true,
      cell: (device) =>
        device.kind === "rechargeable" && (
          <Pick
            bare
            label={`When ${device.name} is turned off`}
            value={String(device.offRank ?? "")}
            options={OFF_RANKS}
            onPick={(rank) => set(device, "when it’s turned off", { offRank: rank === "" ? undefined : Number(rank) })}
          />
        ),
    },
    {
      id: "sure",
      head: "Battery sets last",
      cell: (device) =>
        device.kind === "spare-cells" && (
          <Pick
            bare
            label={`How sure the spare sets of ${device.name} should be`}
            value={device.spareCertainty}
            options={Object.entries(CERTAINTY_WORDS) as [Device["spareCertainty"], string][]}
            onPick={(spareCertainty) => set(device, "certainty of spare sets", { spareCertainty })}
          />
        ),
    },
    {
      id: "remove",
      head: <span className="sr-only">Remove</span>,
      cell: ({ id, name }) => (
        <button
          className="p-1 text-muted hover:text-danger"
          aria-label={`Remove ${name}`}
          title={`Remove ${name}`}
          onClick={() => removeRows("devices", [id], `Remove ${name}`)}
        >
          <X size={15} aria-hidden="true" />
        </button>
      ),
    },
  ];
}

type SetDevice = (device: Device, label: string, fields: Partial<Device>) => void;

function panelColumn(set: SetDevice): Column<Device> {
  return {
    id: "lies",
    head: "Panel position",
    cell: (device) =>
      device.kind === "solar" && (
        <>
          <Pick
            bare
            label={`Where ${device.name} is placed`}
            value={device.place}
            options={Object.entries(PLACE_WORDS) as [Device["place"], string][]}
            onPick={(place) => set(device, "panel position", { place })}
          />
          <Pick
            bare
            label={`Shade over ${device.name}`}
            value={device.trees}
            options={Object.entries(TREE_WORDS) as [Device["trees"], string][]}
            onPick={(trees) => set(device, "shade over the panel", { trees })}
          />
        </>
      ),
  };
}

function ownerName(plan: Plan, ownerId: string): string {
  const owner = plan.hikers.find((hiker) => hiker.id === ownerId);
  return owner ? firstName(owner) : "nobody";
}

export function BatteryTable({ plan, result, store }: ScreenProps & { store: Store }) {
  const columns: Column<{ i: number; leg: Store["legs"][number] }>[] = [
    {
      id: "leg",
      head: "Leg",
      names: true,
      roomy: true,
      cell: ({ i }) => (
        <>
          <span className="figure mr-2 inline-block w-6 text-right text-muted">{i + 1}</span>
          to {stopName(plan, result.legs[i]!.toStopId)}
        </>
      ),
    },
    { id: "store", head: "Capacity, Wh", right: true, cell: ({ leg }) => fixed(leg.capacityWh, 0) },
    {
      id: "lowest",
      head: "Lowest",
      right: true,
      cell: ({ leg }) => (
        <span className="flex items-center justify-end gap-2">
          <span className="inline-block h-2.5 w-20 bg-rule" aria-hidden="true">
            <span
              className={`block h-full ${leg.shortWh > 0 ? "bg-danger" : "bg-pine"}`}
              style={{ width: `${Math.round(100 * leg.lowestFraction)}%` }}
            />
          </span>
          <span className="w-10">{fixed(100 * leg.lowestFraction, 0)} %</span>
        </span>
      ),
    },
    {
      id: "when",
      head: "on",
      cell: ({ leg }) => dayMonth(isoOfDay(leg.flatDay ?? leg.lowestDay)),
    },
    {
      id: "missing",
      head: "Short, Wh",
      right: true,
      cell: ({ leg }) =>
        leg.shortWh > 0 ? <span className="font-semibold text-danger">{fixed(leg.shortWh, 1)}</span> : "–",
    },
  ];
  return (
    <Panel title="Batteries by leg">
      <div className="relative max-w-[720px] overflow-x-auto">
        <Table
          label="Batteries by leg"
          columns={columns}
          rows={store.legs.map((leg, i) => ({ i, leg }))}
          idOf={({ i }) => String(i)}
        />
      </div>
    </Panel>
  );
}
