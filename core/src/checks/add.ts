/** How checks are noted down. */
import type { Check, CheckCode, Figure, MendCode } from "../result/check.ts";

export type Add = (
  code: CheckCode,
  severity: Check["severity"],
  where: Partial<Pick<Check, "legIndex" | "hikerId" | "atM">>,
  figures: Record<string, Figure>,
  mends: MendCode[],
) => void;
