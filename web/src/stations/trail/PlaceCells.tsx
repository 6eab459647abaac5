/** What each kind of place has beside its name and where it lies: cells of the table, edited where they stand. */
import { DropdownMenu } from "radix-ui";
import {
  SERVICES,
  SOURCE_KINDS,
  SURFACES,
  type Camp,
  type Plan,
  type Source,
  type Stop,
  type Stretch,
} from "@gepack/core";
import { NumberField } from "../../components/NumberField.tsx";
import { Pick } from "../../components/Pick.tsx";
import { edit } from "../../store/app.ts";

const serviceName = (service: string): string => service.replace("-", " ");

export function StopCells({ stop, plan }: { stop: Stop; plan: Plan }) {
  const change = (label: string, recipe: (target: Stop) => void): void =>
    void edit(`${stop.name}: ${label}`, (draft) => {
      const target = draft.stops.find((row) => row.id === stop.id);
      if (target) recipe(target as Stop);
    });
  return (
    <>
      <td className="pr-1">
        <NumberField
          bare
          className="w-[64px]"
          label={`Off trail at ${stop.name}`}
          kind="distance"
          value={stop.offTrailM}
          units={plan.trip.units}
          min={0}
          max={200_000}
          onCommit={(offTrailM) =>
            change("off trail", (target) => {
              target.offTrailM = offTrailM;
            })
          }
        />
      </td>
      <td>
        <input
          type="checkbox"
          aria-label={`Use ${stop.name}`}
          checked={stop.use}
          onChange={(event) => {
            const use = event.target.checked;
            change(use ? "use it" : "pass it by", (target) => {
              target.use = use;
              if (use && target.nights === 0) target.nights = 1;
            });
          }}
        />
      </td>
      <td>
        <NumberField
          bare
          className="w-[44px]"
          label={`Nights at ${stop.name}`}
          value={stop.nights}
          units={plan.trip.units}
          min={0}
          max={30}
          digits={0}
          onCommit={(nights) =>
            change("nights", (target) => {
              target.nights = Math.round(nights);
            })
          }
        />
      </td>
      <td>
        <NumberField
          bare
          className="w-[52px]"
          label={`Closing hour of ${stop.name}, 24 for never`}
          value={stop.closesH ?? 24}
          units={plan.trip.units}
          min={0}
          max={24}
          digits={1}
          onCommit={(closesH) =>
            change("closing hour", (target) => {
              if (closesH >= 24) delete target.closesH;
              else target.closesH = closesH;
            })
          }
        />
      </td>
      <td className="text-xs" title={[stop.hours, stop.note].filter(Boolean).join(" ")}>
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger
            className="text-left text-muted hover:underline"
            aria-label={`What ${stop.name} offers`}
          >
            {stop.services.map(serviceName).join(", ") || "nothing yet"}
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
                    change(`${on ? "offers" : "no"} ${serviceName(service)}`, (target) => {
                      target.services = SERVICES.filter((one) =>
                        one === service ? on === true : target.services.includes(one),
                      );
                    })
                  }
                >
                  <span className="inline-block w-4">{stop.services.includes(service) ? "✓" : ""}</span>
                  {serviceName(service)}
                </DropdownMenu.CheckboxItem>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </td>
    </>
  );
}

export function SourceCells({ source, plan }: { source: Source; plan: Plan }) {
  const change = (label: string, recipe: (target: Source) => void): void =>
    void edit(`${source.name}: ${label}`, (draft) => {
      const target = draft.sources.find((row) => row.id === source.id);
      if (target) recipe(target as Source);
    });
  return (
    <>
      <td>
        <Pick
          bare
          label={`Kind of ${source.name}`}
          value={source.kind}
          options={SOURCE_KINDS.map((kind) => [kind, kind])}
          onPick={(kind) => change(kind, (target) => void (target.kind = kind))}
        />
      </td>
      <td className="pr-1">
        <NumberField
          bare
          className="w-[64px]"
          label={`Off trail at ${source.name}`}
          kind="distance"
          value={source.offTrailM}
          units={plan.trip.units}
          min={0}
          max={20_000}
          onCommit={(offTrailM) => change("off trail", (target) => void (target.offTrailM = offTrailM))}
        />
      </td>
      <td>
        <input
          type="checkbox"
          aria-label={`${source.name} is reliable`}
          checked={source.reliable}
          onChange={(event) => {
            const reliable = event.target.checked;
            change(reliable ? "reliable" : "not reliable", (target) => {
              target.reliable = reliable;
              delete target.chanceByMonth;
            });
          }}
        />
      </td>
    </>
  );
}

export function CampCells({ camp }: { camp: Camp }) {
  return (
    <td>
      <input
        type="checkbox"
        aria-label={`${camp.name} lies in a hollow`}
        checked={camp.hollow}
        onChange={(event) => {
          const hollow = event.target.checked;
          void edit(`${camp.name}: ${hollow ? "in a hollow" : "in the open"}`, (draft) => {
            const target = draft.camps.find((row) => row.id === camp.id);
            if (target) target.hollow = hollow;
          });
        }}
      />
    </td>
  );
}

const STRETCH_KINDS = ["surface", "snow", "rule", "hazard", "insects", "dry"] as const;
const RULES = ["hard-canister", "fire-ban", "permit", "no-camping"] as const;
const spoken = <T extends string>(values: readonly T[]) =>
  values.map((value) => [value, value.replace("-", " ")] as const);

export function StretchCells({ stretch, end }: { stretch: Stretch; end: React.ReactNode }) {
  const change = (label: string, recipe: (target: Stretch) => void): void =>
    void edit(`${stretch.name}: ${label}`, (draft) => {
      const target = draft.stretches.find((row) => row.id === stretch.id);
      if (target) recipe(target as Stretch);
    });
  return (
    <>
      <td className="pr-1">{end}</td>
      <td>
        <span className="flex gap-1">
          <Pick
            bare
            label={`Kind of ${stretch.name}`}
            value={stretch.kind}
            options={spoken(STRETCH_KINDS)}
            onPick={(kind) => change(kind, (target) => void (target.kind = kind))}
          />
          {(stretch.kind === "surface" || stretch.kind === "snow") && (
            <Pick
              bare
              label={`Ground of ${stretch.name}`}
              value={stretch.surface ?? "trail"}
              options={spoken(SURFACES)}
              onPick={(surface) => change(surface, (target) => void (target.surface = surface))}
            />
          )}
          {stretch.kind === "rule" && (
            <Pick
              bare
              label={`Rule of ${stretch.name}`}
              value={stretch.rule ?? "permit"}
              options={spoken(RULES)}
              onPick={(rule) => change(rule, (target) => void (target.rule = rule))}
            />
          )}
        </span>
      </td>
      <td className="text-xs whitespace-nowrap text-muted" title={stretch.note}>
        {stretch.fromMonthDay && stretch.toMonthDay
          ? `${monthDay(stretch.fromMonthDay)} to ${monthDay(stretch.toMonthDay)}`
          : "all year"}
      </td>
    </>
  );
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

function monthDay(text: string): string {
  return `${Number(text.slice(3))} ${MONTHS[Number(text.slice(0, 2)) - 1] ?? ""}`;
}
