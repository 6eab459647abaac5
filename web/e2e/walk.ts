/**
 * A walk over everything that edits: each control of a page is found by itself and used once, and after each what is
 * shown is what is stored; undo brings back the very document of before, redo the next. Controls of one column or list
 * are one kind, of which one is used. Nothing here knows a control by its name: a new one is walked by itself.
 */
import type { Page } from "@playwright/test";

export interface Walked {
  /** Kinds of controls that were found, and used. */
  found: number;
  used: number;
  /** Edits that these came to, and the documents after them. */
  edits: { control: string; stored: string }[];
  faults: string[];
}

export interface WalkChoice {
  seed: number;
  /** Of the kinds found, the share that is used. */
  share: number;
}

export async function walkPage(page: Page, choice: WalkChoice): Promise<Walked> {
  return page.evaluate(walk, choice);
}

/** A control that leads to a file, a printer or another page is pressed, and leads nowhere: until the page is loaded anew. */
export async function leadNowhere(page: Page): Promise<void> {
  await page.evaluate(() => {
    window.print = () => {};
    HTMLAnchorElement.prototype.click = () => {};
    document.addEventListener(
      "click",
      (event) => (event.target as Element).closest("a[href]:not([data-walks-on])") && event.preventDefault(),
      true,
    );
  });
}

/** The document on the page with every edit in it, as text. */
export function shownPlan(): string {
  return JSON.stringify((window as unknown as { gepack: { plan: () => unknown } }).gepack.plan());
}

/** In the page, and of it alone: it is handed over as text. */
async function walk({ seed, share }: WalkChoice): Promise<Walked> {
  type Doc = Record<string, unknown>;
  const { gepack } = window as unknown as { gepack: { plan: () => Doc; isBusy: () => boolean } };
  const walked: Walked = { found: 0, used: 0, edits: [], faults: [] };
  const SLOWEST_MS = 20_000;
  const LONGEST_RUN_MS = 8000;
  const LONGEST_MS = 20_000;
  const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
  let state = seed;
  /** Mulberry32: the same controls by the same seed. */
  const random = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };

  /** The first place at which two documents differ, and how; undefined where they are equal. */
  const differs = (a: unknown, b: unknown, path = ""): string | undefined => {
    if (Object.is(a, b)) return undefined;
    if (typeof a !== "object" || typeof b !== "object" || a === null || b === null)
      return `${path}: ${JSON.stringify(a)?.slice(0, 60)} for ${JSON.stringify(b)?.slice(0, 60)}`;
    for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
      const found = differs((a as Doc)[key], (b as Doc)[key], `${path}.${key}`);
      if (found !== undefined) return found;
    }
    return undefined;
  };
  const database = await new Promise<IDBDatabase>((resolve, reject) => {
    const request = indexedDB.open("gepack");
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error!);
  });
  const ask = <T>(store: string, work: (from: IDBObjectStore) => IDBRequest): Promise<T> =>
    new Promise((resolve, reject) => {
      const request = work(database.transaction(store).objectStore(store));
      request.onsuccess = () => resolve(request.result as T);
      request.onerror = () => reject(request.error!);
    });
  const shown = (): Doc => gepack.plan();
  const stored = async (): Promise<unknown> =>
    (await ask<{ doc: Doc } | undefined>("plans", (plans) => plans.get(gepack.plan()["id"] as string)))?.doc;
  /** Of the opened plan, oldest first. */
  const steps = async (): Promise<{ seq: number; label: string }[]> => {
    const all = await ask<{ seq: number; planId: string; undone: number; label: string }[]>("history", (rows) =>
      rows.getAll(),
    );
    return all.filter(({ planId, undone }) => planId === gepack.plan()["id"] && undone === 0);
  };
  /** Nothing is on its way, for a moment. */
  const settled = async (): Promise<void> => {
    const began = performance.now();
    for (let quiet = 0; quiet < 2;) {
      await wait(15);
      // What is still computed may end in an edit of its own.
      const isRunning = document.querySelector("main progress") !== null && performance.now() - began < LONGEST_RUN_MS;
      quiet = gepack.isBusy() || isRunning ? 0 : quiet + 1;
      if (performance.now() - began > SLOWEST_MS) return void walked.faults.push("an edit does not come to its end");
    }
  };

  const CONTROLS = "button, input, select, textarea, [role=slider], [role=switch], [role=checkbox], [role=radio]";
  const isThere = (element: Element): boolean =>
    (element as HTMLElement).checkVisibility() &&
    !(element as HTMLButtonElement).disabled &&
    (element as HTMLInputElement).type !== "file" &&
    element.closest("[data-chrome], nav, [role=tablist], [aria-hidden=true]") === null;
  const wordsOf = (element: Element): string => {
    const label = (element as HTMLInputElement).labels?.[0]?.textContent ?? "";
    return (element.getAttribute("aria-label") ?? (label || element.textContent || element.tagName))
      .trim()
      .slice(0, 80);
  };
  /** Where it stands, by tags and classes, without its place among its like: rows of a table are one kind. */
  const kindOf = (element: Element): string => {
    const path: string[] = [];
    for (let at: Element | null = element; at && at !== document.body; at = at.parentElement) {
      const column = at.tagName === "TD" ? (at as HTMLTableCellElement).cellIndex : "";
      path.push(`${at.tagName}${column}${at.getAttribute("data-testid") ?? ""}`);
    }
    return `${path.join("<")} ${element.getAttribute("type") ?? ""}${element.closest("td, li") ? "" : wordsOf(element).replace(/[\d“].*/, "")}`;
  };
  const controls = (): Map<string, Element[]> => {
    const kinds = new Map<string, Element[]>();
    for (const element of document.querySelectorAll(CONTROLS)) {
      if (!isThere(element)) continue;
      const kind = kindOf(element);
      kinds.set(kind, [...(kinds.get(kind) ?? []), element]);
    }
    return kinds;
  };
  const unfold = async (): Promise<void> => {
    for (let round = 0; round < 4; round++) {
      const folded = [
        ...document.querySelectorAll<HTMLElement>(
          "main [aria-expanded=false]:not([aria-haspopup]), main details:not([open]) > summary",
        ),
      ].filter((one) => one.checkVisibility());
      for (const one of folded) one.click();
      if (folded.length === 0) return;
      await wait(80);
    }
  };

  const type = (field: HTMLInputElement | HTMLTextAreaElement, text: string): void => {
    const owner = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
    field.focus();
    Object.getOwnPropertyDescriptor(owner.prototype, "value")!.set!.call(field, text);
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.blur();
  };
  const use = (element: Element): void => {
    if (element instanceof HTMLSelectElement) {
      const other = [...element.options].find((option) => !option.selected && !option.disabled);
      if (!other) return;
      Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value")!.set!.call(element, other.value);
      element.dispatchEvent(new Event("change", { bubbles: true }));
    } else if (element instanceof HTMLTextAreaElement) type(element, `${element.value} x`);
    else if (element instanceof HTMLInputElement && !["checkbox", "radio", "button", "submit"].includes(element.type)) {
      const { value } = element;
      const date = /^\d{4}-\d\d-(\d\d)$/.exec(value);
      const number = /^[\d.,−-]+$/.test(value) ? Number(value.replaceAll(",", "").replace("−", "-")) : NaN;
      if (date) type(element, value.replace(/\d\d$/, date[1] === "11" ? "12" : "11"));
      else
        type(
          element,
          Number.isNaN(number) ? `${value}x` : String(number === 0 ? 1 : Math.round(number * 1.1 * 100) / 100),
        );
    } else if (element.getAttribute("role") === "slider") {
      (element as HTMLElement).focus();
      for (const kind of ["keydown", "keyup"])
        element.dispatchEvent(new KeyboardEvent(kind, { key: "ArrowRight", code: "ArrowRight", bubbles: true }));
    } else (element as HTMLElement).click();
  };
  /** Steps back or forth, and what differs from the document that is to come; undefined once nothing does. */
  const press = async (name: "Undo" | "Redo", expected: Doc): Promise<string | undefined> => {
    const began = performance.now();
    const button = (): HTMLButtonElement | null => document.querySelector(`button[title^="${name}:"]`);
    while (!button() && performance.now() - began < LONGEST_MS) await wait(15);
    button()?.click();
    let left = differs(shown(), expected);
    while (left !== undefined && performance.now() - began < LONGEST_MS) {
      await wait(15);
      left = differs(shown(), expected);
    }
    await settled();
    return left ?? differs(shown(), await stored());
  };
  const closeDialogs = async (): Promise<void> => {
    for (let i = 0; i < 3 && document.querySelector("[role=dialog], [role=alertdialog], [role=menu]"); i++) {
      document.activeElement?.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
      document.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
      await wait(60);
    }
  };

  /** Uses one, and holds what came of it to its word. */
  const walkOne = async (element: Element): Promise<void> => {
    const control = `${element.tagName.toLowerCase()} “${wordsOf(element)}”`;
    const fault = (what: string): void => void walked.faults.push(`${control}: ${what}`);
    const before = shown();
    const planId = gepack.plan()["id"];
    const stepsBefore = (await steps()).length;
    walked.used++;
    use(element);
    await settled();
    // In a dialog, and for a name that is asked for, the edit comes with the button that takes it.
    const dialog = document.querySelector("[role=dialog]");
    const taking = dialog?.querySelector<HTMLElement>("button[type=submit], form .btn-strong");
    if (dialog && taking) {
      for (const field of dialog.querySelectorAll("input:not([type=checkbox]), textarea")) use(field);
      taking.click();
      await settled();
    }
    await closeDialogs();
    await settled();
    if (gepack.plan()["id"] !== planId) return;
    const after = shown();
    const kept = await stored();
    const unlike = differs(after, kept);
    if (unlike !== undefined) return fault(`what is shown is not what is stored${unlike}`);
    const isChanged = differs(after, before) !== undefined;
    const made = (await steps()).slice(stepsBefore);
    if (made.length === 0) return isChanged ? fault("an edit without a step") : undefined;
    walked.edits.push({ control, stored: JSON.stringify(kept) });
    if (!isChanged) return fault("a step that changes nothing");
    let wrong = await press("Undo", before);
    if (wrong !== undefined) wrong = `undo does not bring back what was${wrong}`;
    else {
      wrong = await press("Redo", after);
      if (wrong !== undefined) wrong = `redo does not bring back what came${wrong}`;
      await press("Undo", before);
    }
    // What was set going by a button before may come to its edit only now: that one is undone as well.
    const late = (await steps()).slice(stepsBefore);
    for (let i = 0; i < late.length; i++) await press("Undo", before);
    if (wrong !== undefined && late.length === 0 && made.length === 1) fault(`${wrong}, after “${made[0]!.label}”`);
  };

  // A page that was gone to is drawn in parts.
  for (let count = -1, quiet = 0; quiet < 20;) {
    await wait(15);
    const now = document.querySelectorAll(`main ${CONTROLS.replaceAll(", ", ", main ")}`).length;
    quiet = now === count && now > 0 ? quiet + 1 : 0;
    count = now;
  }
  await unfold();
  await settled();
  const done = new Set<string>();
  // What comes to the page by what was used is walked in its turn.
  for (let round = 0; round < 2; round++) {
    for (const [kind, found] of controls()) {
      if (done.has(kind)) continue;
      done.add(kind);
      walked.found++;
      if (random() >= share) continue;
      const place = Math.floor(random() * found.length);
      // An edit may have drawn the page anew since they were looked for.
      const element = found[place]!.isConnected ? found[place] : controls().get(kind)?.[place];
      if (element && isThere(element)) await walkOne(element);
    }
    await unfold();
  }
  database.close();
  return walked;
}
