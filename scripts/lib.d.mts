/** What the attack uses of the commands' helpers. */
import type { Browser } from "@playwright/test";

export const ROOT: string;
export function chromiumPath(): string;
export const CHROMIUM_ARGS: string[];
export function served(port: number, root?: string): Promise<{ url: string; stop: () => void }>;
export function browse(): Promise<Browser>;
