/** A disk small enough to be filled to the last byte, and kept full. */
import { spawnSync } from "node:child_process";
import { closeSync, mkdtempSync, openSync, rmSync, writeSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

export interface SmallDisk {
  folder: string;
  /** False where the machine lets nobody mount one. */
  real: boolean;
  fill: () => void;
  clear: () => void;
  remove: () => void;
}

/** A disk in memory, small enough to be filled. */
export function smallDisk(): SmallDisk {
  const folder = mkdtempSync(join(tmpdir(), "gepack-disk-"));
  const real = spawnSync("mount", ["-t", "tmpfs", "-o", "size=200m", "tmpfs", folder]).status === 0;
  const filler = join(folder, "filler");
  let toppingUp: ReturnType<typeof setInterval> | undefined;
  return {
    folder,
    real,
    fill: () => {
      if (!real) return;
      fillUp(filler);
      // The browser clears away things of its own when it finds no room.
      toppingUp = setInterval(() => fillUp(filler), 20);
    },
    clear: () => {
      clearInterval(toppingUp);
      rmSync(filler, { force: true });
    },
    remove: () => {
      clearInterval(toppingUp);
      if (real) spawnSync("umount", ["-l", folder]);
      rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    },
  };
}

function fillUp(path: string): void {
  const file = openSync(path, "a");
  const block = Buffer.alloc(4096);
  try {
    for (;;) writeSync(file, block);
  } catch (error) {
    if ((error as { code?: string }).code !== "ENOSPC") throw error;
  } finally {
    closeSync(file);
  }
}
