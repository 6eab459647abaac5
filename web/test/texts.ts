/**
 * All texts that a person may read, taken out of the source: text between tags, labels, placeholders, titles, and
 * every string that is more than one word. What stands for a value (`${…}`, `{…}`) is a `…`.
 */
import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { fileURLToPath } from "node:url";
import ts from "typescript";

export interface Text {
  text: string;
  /** File and line, as in `web/src/words/kit.ts:20`. */
  at: string;
}

const ROOT = fileURLToPath(new URL("../..", import.meta.url));

/** Attributes and properties whose text nobody reads. */
const UNREAD = new Set(
  "className class style d key id path testid href src type role from to rel accept viewBox transform points code value"
    .split(" ")
    .concat("data-testid"),
);
/** Read even where it is one word. */
const LABELS = new Set("label title placeholder aria-label head words tab button advice note mark tag".split(" "));
/** Elements that stand within a sentence. */
const INLINE = new Set([
  "b",
  "i",
  "em",
  "strong",
  "span",
  "abbr",
  "output",
  "Metres",
  "FieldNumber",
  "Pick",
  "Condition",
]);

export function textsOf(folders: readonly string[]): Text[] {
  return folders.flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: "utf8" })
      .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$|\.d\.ts$/.test(name))
      .flatMap((name) => textsOfFile(join(ROOT, folder, name))),
  );
}

function textsOfFile(path: string): Text[] {
  const source = ts.createSourceFile(path, readFileSync(path, "utf8"), ts.ScriptTarget.Latest, true);
  const found: Text[] = [];
  const add = (node: ts.Node, words: string, isLabel = false): void => {
    const text = words.replace(/\s+/g, " ").trim();
    if (!/[A-Za-z]{2}/.test(text) || (!isLabel && !isProse(text))) return;
    found.push({
      text,
      at: `${relative(ROOT, path)}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1}`,
    });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && (node.name.getText() === "name" || UNREAD.has(node.name.getText()))) return;
    if (ts.isPropertyAssignment(node) && UNREAD.has(node.name.getText()) && isPlain(node.initializer)) return;
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      if (!(isInline(node) && isMarkup(node.parent)))
        for (const run of runsOf(node.children, isRow(node))) add(node, run, true);
    } else if (ts.isStringLiteralLike(node) || ts.isTemplateExpression(node))
      add(node, wordsOf(node), isLabelled(node));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const isMarkup = (node: ts.Node): boolean => ts.isJsxElement(node) || ts.isJsxFragment(node);

/** Its children stand beside each other, and none goes on with what the one before said. */
const isRow = (node: ts.Node): boolean =>
  ts.isJsxElement(node) && /\b(flex|grid)\b/.test(node.openingElement.getText());

const isPlain = (node: ts.Node): boolean => ts.isStringLiteralLike(node) || ts.isTemplateExpression(node);

function isInline(node: ts.Node): boolean {
  return ts.isJsxElement(node) && INLINE.has(node.openingElement.tagName.getText());
}

function isLabelled(node: ts.Node): boolean {
  let { parent } = node;
  while (ts.isConditionalExpression(parent) || ts.isBinaryExpression(parent) || ts.isJsxExpression(parent))
    parent = parent.parent;
  if (ts.isCallExpression(parent)) return parent.expression.getText() === "counted";
  const name = ts.isPropertyAssignment(parent) || ts.isJsxAttribute(parent) ? parent.name.getText() : "";
  return LABELS.has(name.replaceAll('"', ""));
}

/** Words with a space between, that are no list of classes, no address, no code. */
function isProse(text: string): boolean {
  if (!/[A-Za-z’]{2,}[,:;.…]? +[A-Za-z“(…]/.test(text)) return false;
  return !/[{}=<>]|--|\]:|\b(flex|grid|px|rounded|text|font|border)-|^[a-z-]+( [a-z]+-[a-z0-9-]+)+$/.test(text);
}

function wordsOf(node: ts.StringLiteralLike | ts.TemplateExpression): string {
  if (ts.isStringLiteralLike(node)) return node.text;
  return node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join("");
}

/** The runs of text of some children, each as long as nothing but words and figures stands between. */
function runsOf(children: readonly ts.JsxChild[], isRow: boolean): string[] {
  const runs = [""];
  const walk = (nodes: readonly ts.JsxChild[]): void => {
    for (const node of nodes) {
      if (ts.isJsxText(node)) runs[runs.length - 1] += node.text;
      else if (ts.isJsxExpression(node)) {
        const inner = node.expression;
        if (inner && ts.isStringLiteralLike(inner)) runs[runs.length - 1] += inner.text;
        else if (inner) runs[runs.length - 1] += "…";
      } else if (ts.isJsxElement(node) && isInline(node)) {
        if (isRow) runs.push("");
        walk(node.children);
        if (isRow) runs.push("");
      } else if (ts.isJsxSelfClosingElement(node) && INLINE.has(node.tagName.getText())) runs[runs.length - 1] += "…";
      else runs.push("");
    }
  };
  walk(children);
  return runs.filter((run) => /[A-Za-z]{2}/.test(run));
}

/** What a hiker reads as one sentence; a list of figures is cut at its semicolons. */
export function sentencesOf(text: string): string[] {
  return text.split(/(?<=[.!?;])\s+/).filter((sentence) => sentence.trim() !== "");
}

export const wordCount = (sentence: string): number =>
  sentence.split(/[\s–]+/).filter((word) => /[\p{L}\d…]/u.test(word)).length;
