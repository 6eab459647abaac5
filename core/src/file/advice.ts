/** Marks that a friend made on a kit list, as the page for it writes them: read, and laid beside the pieces. */
import { z } from "zod";
import { VERDICTS } from "../plan/ids.ts";
import type { Piece } from "../plan/schema.ts";
import { isoDate, label } from "../plan/values.ts";
import { refused, type ReadResult } from "../units/problem.ts";

export const ADVICE_FORMAT = "gepack-advice";
const MOST_MARKS = 2000;

const adviceFileSchema = z.looseObject({
  format: z.literal(ADVICE_FORMAT),
  version: z.literal(1),
  from: label.default(""),
  on: isoDate,
  marks: z
    .array(
      z.looseObject({
        id: z.string().max(80),
        name: z.string().max(300),
        said: z.enum(VERDICTS).optional(),
        remark: z.string().max(500).default(""),
      }),
    )
    .max(MOST_MARKS),
});

export type AdviceFile = z.infer<typeof adviceFileSchema>;
export type AdviceMark = AdviceFile["marks"][number];

const NOT_ONE = "This isn’t a file of marks. Choose the file that your friend saved from the page you sent.";

export function readAdvice(text: string): ReadResult<AdviceFile> {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return refused("file", NOT_ONE);
  }
  if (typeof data !== "object" || data === null || (data as { format?: unknown }).format !== ADVICE_FORMAT)
    return refused("file", NOT_ONE);
  const { data: value, error } = adviceFileSchema.safeParse(data);
  if (value) return { value, problems: [] };
  const [issue] = error.issues;
  return refused(issue!.path.join("."), `These marks can’t be read: ${issue!.message}. Have it saved again.`);
}

export interface Advised {
  mark: AdviceMark;
  /** Undefined for what is no longer in the kit. */
  pieceId: string | undefined;
}

const plain = (name: string): string => name.trim().toLowerCase();

/** Each mark that says something, with its piece: by id, or by name where the piece was made anew. */
export function advisedPieces(kit: readonly Pick<Piece, "id" | "name">[], { marks }: AdviceFile): Advised[] {
  const ids = new Set(kit.map(({ id }) => id));
  const byName = new Map(kit.map(({ id, name }) => [plain(name), id]));
  return marks
    .filter(({ said, remark }) => said !== undefined || remark.trim() !== "")
    .map((mark) => ({ mark, pieceId: ids.has(mark.id) ? mark.id : byName.get(plain(mark.name)) }));
}
