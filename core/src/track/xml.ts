/**
 * A push parser for track files in XML, hardened once for all of them: text goes in by chunks; what declares a
 * document type (the way entity bombs and external entities come in), nests deeper or has more attributes
 * than any such file, or is not well-formed, is refused at the first fault without reading on.
 */
import { SaxesParser, type SaxesTagPlain } from "saxes";
import { type Problem } from "../units/problem.ts";

export type XmlTag = SaxesTagPlain;

/** Extensions nest some ten levels; a hundred and more only come from who means harm. */
const MAX_DEPTH = 100;
const MAX_ATTRIBUTES = 200;

export interface XmlFormat {
  /** `GPX`, and what is expected in a sentence: `GPX 1.0 or 1.1`. */
  name: string;
  versions: string;
  /** Local name of the root. */
  root: string;
}

export interface XmlHandler {
  open: (tag: XmlTag, depth: number) => void;
  text: (chunk: string) => void;
  /** The depth of what was closed. */
  close: (tag: XmlTag, depth: number) => void;
}

/** Ends the parsing where it stands; what was wrong is in `failure`. */
class Stop extends Error {}

export class XmlReader {
  failure: Problem | undefined;
  private readonly parser = new SaxesParser({ xmlns: false, position: true });
  private sawRoot = false;
  private seen = 0;

  constructor(
    private readonly format: XmlFormat,
    handler: XmlHandler,
  ) {
    const { parser } = this;
    const { name, versions, root } = format;
    let depth = 0;
    let attributes = 0;
    parser.on("error", (error) => {
      const reason = error.message.replace(/^\S*?\d+:\d+:\s*/, "").replace(/\.$/, "");
      this.fail(
        this.sawRoot ? `The XML is broken here: ${reason}. The file may be cut off; export it again.` : this.noXml(),
      );
    });
    parser.on("doctype", () => {
      this.fail(
        `The file declares a document type. ${name} files have none, and entities defined in one are not read; remove the <!DOCTYPE …> part.`,
      );
    });
    parser.on("opentagstart", () => {
      attributes = 0;
    });
    parser.on("attribute", () => {
      if (++attributes > MAX_ATTRIBUTES)
        this.fail(
          `An element has more than ${MAX_ATTRIBUTES} attributes here; none of a ${name} file has. Export it again.`,
        );
    });
    parser.on("opentag", (tag: XmlTag) => {
      depth++;
      if (depth === 1) {
        this.sawRoot = true;
        if (localName(tag.name) !== root)
          this.fail(`The root element is <${clip(tag.name)}>, where <${root}> is expected. Choose a ${versions} file.`);
      }
      if (depth > MAX_DEPTH)
        this.fail(
          `Elements are nested more than ${MAX_DEPTH} deep here; no ${name} file nests them so. Export it again.`,
        );
      handler.open(tag, depth);
    });
    parser.on("text", handler.text);
    parser.on("cdata", handler.text);
    parser.on("closetag", (tag: XmlTag) => handler.close(tag, depth--));
  }

  get line(): number {
    return this.parser.line;
  }

  /** Refuses the file: nothing that follows is read. */
  fail(sentence: string, place = `line ${this.parser.line}`): never {
    this.failure ??= { severity: "error", place, sentence };
    throw new Stop();
  }

  write(chunk: string): void {
    this.seen += chunk.length;
    this.attempt(() => this.parser.write(chunk));
  }

  /** Ends the file; `check` may still refuse it. */
  close(check: () => void): void {
    this.attempt(() => {
      if (this.seen === 0) this.fail(`The file is empty. A ${this.format.versions} file is expected.`, "file");
      this.parser.close();
      if (!this.sawRoot) this.fail(this.noXml(), "file");
      check();
    });
  }

  /** Runs a piece of parsing up to its end or its first fault. */
  private attempt(parse: () => void): void {
    if (this.failure) return;
    try {
      parse();
    } catch (error) {
      if (!(error instanceof Stop)) throw error;
    }
  }

  private noXml(): string {
    return `This is not an XML file. A ${this.format.versions} file is expected.`;
  }
}

export function localName(name: string): string {
  const colon = name.indexOf(":");
  return colon < 0 ? name : name.slice(colon + 1);
}

export function prefixOf(name: string): string {
  const colon = name.indexOf(":");
  return colon < 0 ? "" : name.slice(0, colon);
}

function clip(text: string): string {
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
