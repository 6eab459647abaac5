/**
 * What the schema says of one field: bounds, unit and default, for whoever shows or types it. The one
 * place for them is the schema; a screen only names the field.
 */
import { z } from "zod";
import { planSchema } from "./schema.ts";

export interface NumberField {
  min: number;
  max: number;
  whole: boolean;
  /** `kg`, `fraction`, `C`, … as the schema gives it. */
  unit: string;
  /** Metres that are a way along the ground, not a height. */
  isDistance: boolean;
  /** What a document without the field is read with; undefined when it may be missing or must be given. */
  defaultValue: number | undefined;
  optional: boolean;
}

/** Takes off what wraps a field: optional, defaults. */
function unwrap(schema: z.ZodType): { inner: z.ZodType; defaultValue: unknown; optional: boolean } {
  let inner = schema;
  let defaultValue: unknown;
  let optional = false;
  for (;;) {
    if (inner instanceof z.ZodOptional) optional = true;
    else if (inner instanceof z.ZodDefault || inner instanceof z.ZodPrefault) defaultValue = inner.def.defaultValue;
    else return { inner, defaultValue, optional };
    inner = inner.def.innerType as z.ZodType;
  }
}

/** What lies at a path of the document, `hikers.pace.speedFactor`; rows of a list need no index, values by key are `*`. */
function fieldAt(path: string): ReturnType<typeof unwrap> {
  let found = unwrap(planSchema);
  for (const key of path.split(".")) {
    if (found.inner instanceof z.ZodArray) found = unwrap(found.inner.element as z.ZodType);
    if (key === "*" && found.inner instanceof z.ZodRecord) {
      found = unwrap(found.inner.valueType as z.ZodType);
      continue;
    }
    if (!(found.inner instanceof z.ZodObject)) throw new Error(`Nothing lies under "${path}" at "${key}".`);
    const next = (found.inner.shape as Record<string, z.ZodType>)[key];
    if (!next) throw new Error(`The schema has no field "${path}".`);
    found = unwrap(next);
  }
  return found;
}

/** So many rows the list at a path takes. */
export function mostRows(path: string): number {
  const { inner } = fieldAt(path);
  if (!(inner instanceof z.ZodArray)) throw new Error(`"${path}" is no list.`);
  const checks = inner.def.checks?.map(({ _zod }) => _zod.def as z.core.$ZodCheckMaxLengthDef) ?? [];
  return checks.find(({ check }) => check === "max_length")?.maximum ?? Infinity;
}

/** The number at such a path. */
export function numberField(path: string): NumberField {
  const found = fieldAt(path);
  const { defaultValue, optional } = found;
  const number = found.inner instanceof z.ZodArray ? unwrap(found.inner.element as z.ZodType).inner : found.inner;
  if (!(number instanceof z.ZodNumber)) throw new Error(`"${path}" is no number.`);
  const meta = number.meta() ?? {};
  return {
    min: number.minValue ?? -Infinity,
    max: number.maxValue ?? Infinity,
    whole: number.format === "safeint",
    unit: typeof meta["unit"] === "string" ? meta["unit"] : "",
    isDistance: meta["quantity"] === "distance",
    defaultValue: typeof defaultValue === "number" ? defaultValue : undefined,
    optional,
  };
}
