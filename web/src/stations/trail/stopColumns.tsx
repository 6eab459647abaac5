/** What a stop has beside its name and where it is. */
import { DropdownMenu, Popover } from "radix-ui";
import type { ReactNode } from "react";
import { SERVICES, type Plan, type Stop } from "@gepack/core";
import { editRow, setRow } from "../../edit/rows.ts";
import { chooseStop } from "../../edit/stops.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { SeasonField } from "../../ui/SeasonField.tsx";
import type { Column } from "../../ui/Table.tsx";
import { seasonWords } from "../../units/date.ts";
import { unitSymbol } from "../../units/quantity.ts";
import { Check } from "./cells.tsx";
import { spoken } from "../../words/names.ts";

export function stopColumns(plan: Plan): Column<Stop>[] {
  const { units } = plan.trip;
  return [
    {
      id: "off",
      right: true,
      head: `off trail, ${unitSymbol("distance", units)}`,
      sort: (stop) => stop.offTrailM,
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[64px]"
          path="stops.offTrailM"
          label={`Off trail at ${stop.name}`}
          value={stop.offTrailM}
          units={units}
          onCommit={(offTrailM) => setRow("stops", stop.id, `${stop.name}: off trail`, { offTrailM })}
        />
      ),
    },
    {
      id: "ride",
      right: true,
      head: "ride, min",
      sort: (stop) => (stop.access === "foot" ? 0 : stop.rideMin),
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[44px]"
          path="stops.rideMin"
          label={`Ride to ${stop.name} in minutes, 0 if on foot`}
          value={stop.access === "foot" ? 0 : stop.rideMin}
          units={units}
          onCommit={(rideMin) =>
            editRow("stops", stop.id, `${stop.name}: ${rideMin > 0 ? "by ride" : "on foot"}`, (target) => {
              if (rideMin === 0) target.access = "foot";
              else if (target.access === "foot") target.access = "hitch";
              if (rideMin > 0) target.rideMin = rideMin;
            })
          }
        />
      ),
    },
    {
      id: "use",
      head: "use",
      sort: (stop) => (stop.use ? 0 : 1),
      cell: (stop) => <Check label={`Use ${stop.name}`} checked={stop.use} onChange={(use) => chooseStop(stop, use)} />,
    },
    {
      id: "nights",
      right: true,
      head: "nights",
      sort: (stop) => stop.nights,
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[44px]"
          path="stops.nights"
          label={`Nights at ${stop.name}`}
          value={stop.nights}
          units={units}
          onCommit={(nights) => setRow("stops", stop.id, `${stop.name}: nights`, { nights })}
        />
      ),
    },
    {
      id: "closes",
      right: true,
      head: "closes at, h",
      cell: (stop) => (
        <FieldNumber
          bare
          className="w-[52px]"
          path="stops.closesH"
          label={`Closing hour of ${stop.name}, 24 if never`}
          value={stop.closesH ?? 24}
          units={units}
          onCommit={(hour) =>
            setRow("stops", stop.id, `${stop.name}: closing hour`, { closesH: hour >= 24 ? undefined : hour })
          }
        />
      ),
    },
    { id: "open", head: "open", cell: (stop) => <Seasons stop={stop} /> },
    { id: "offers", head: "offers", cell: (stop) => <Offers stop={stop} /> },
  ];
}

function Offers({ stop }: { stop: Stop }): ReactNode {
  return (
    <span className="text-xs" title={[stop.hours, stop.note].filter(Boolean).join(" ")}>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="text-left text-muted hover:underline" aria-label={`What ${stop.name} offers`}>
          {stop.services.map(spoken).join(", ") || "nothing listed"}
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="menu" align="start">
            {SERVICES.map((service) => (
              <DropdownMenu.CheckboxItem
                key={service}
                className="menu-item data-[state=checked]:font-bold"
                checked={stop.services.includes(service)}
                onSelect={(event) => event.preventDefault()}
                onCheckedChange={(on) =>
                  editRow("stops", stop.id, `${stop.name}: ${on ? "offers" : "no"} ${spoken(service)}`, (target) => {
                    target.services = SERVICES.filter((one) =>
                      one === service ? on === true : target.services.includes(one),
                    );
                  })
                }
              >
                <span className="inline-block w-4">{stop.services.includes(service) ? "✓" : ""}</span>
                {spoken(service)}
              </DropdownMenu.CheckboxItem>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </span>
  );
}

/** When the house is open, and its post counter where that is less. */
function Seasons({ stop }: { stop: Stop }): ReactNode {
  const { id, name, openFrom, openTo, postFrom, postTo, services } = stop;
  const house = seasonWords([openFrom, openTo]);
  const post = postFrom === undefined && postTo === undefined ? "" : `, post ${seasonWords([postFrom, postTo])}`;
  return (
    <Popover.Root>
      <Popover.Trigger className="text-left text-xs text-muted hover:underline" aria-label={`When ${name} is open`}>
        {house === "all year" && post !== "" ? post.slice(2) : house + post}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="menu p-3! text-sm" align="start" aria-label={`When ${name} is open`}>
          <div className="grid grid-cols-[auto_1fr] items-start gap-x-3 gap-y-2">
            <span>open</span>
            <SeasonField
              label={`Season of ${name}`}
              from={openFrom}
              to={openTo}
              onCommit={([from, to]) => setRow("stops", id, `${name}: season`, { openFrom: from, openTo: to })}
            />
            {services.includes("post") && (
              <>
                <span>post office</span>
                <SeasonField
                  label={`Season of the post at ${name}`}
                  from={postFrom}
                  to={postTo}
                  onCommit={([from, to]) => setRow("stops", id, `${name}: post season`, { postFrom: from, postTo: to })}
                />
              </>
            )}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
