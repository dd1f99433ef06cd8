import { SaxesParser } from "saxes";
import { err, ok, type Result } from "~/core/result";

/** An element of a document, with its text joined; comments and instructions are left out. */
export interface XmlElement {
  readonly name: string;
  readonly attributes: Record<string, string>;
  readonly children: XmlElement[];
  text: string;
}

/** No score of ours nests or fills deeper: what does is made to do harm. */
const LIMITS = { depth: 60, elements: 1_500_000, text: 100_000 };

class Refusal extends Error {}

/**
 * Reads a document. Entities of its own are refused (a public DOCTYPE is let by), as are depth,
 * number of elements and length of text beyond bounds; the sentence says why.
 */
export function readXml(source: string): Result<XmlElement, string> {
  const parser = new SaxesParser({ xmlns: false, position: true });
  const open: XmlElement[] = [];
  let root: XmlElement | undefined;
  let elements = 0;
  parser.on("doctype", (doctype) => {
    if (/<!ENTITY/i.test(doctype)) throw new Refusal("It defines entities; Fidus reads none.");
  });
  parser.on("opentag", ({ name, attributes }) => {
    if (++elements > LIMITS.elements) throw new Refusal("It holds too much to be one score.");
    if (open.length >= LIMITS.depth) throw new Refusal("It is nested too deeply to be a score.");
    const element = { name, attributes, children: [], text: "" };
    open.at(-1)?.children.push(element);
    root ??= element;
    open.push(element);
  });
  parser.on("text", (text) => {
    const element = open.at(-1);
    if (!element) return;
    element.text += text;
    if (element.text.length > LIMITS.text) throw new Refusal("It holds too long a text.");
  });
  parser.on("cdata", (text) => {
    const element = open.at(-1);
    if (element) element.text += text;
  });
  parser.on("closetag", () => open.pop());
  parser.on("error", (error) => {
    throw new Refusal(`It breaks off or is damaged at line ${parser.line}: ${plain(error)}`);
  });
  try {
    parser.write(source).close();
  } catch (error) {
    if (error instanceof Refusal) return err(error.message);
    throw error;
  }
  return root ? ok(root) : err("It is empty.");
}

/** What the parser says, without the place, which is told already. */
const plain = ({ message }: Error): string => `${message.replace(/^[\d:]+\s*/, "").slice(0, 120)}.`;

const ESCAPES: Readonly<Record<string, string>> = {
  "&": "&amp;",
  "<": "&lt;",
  ">": "&gt;",
  '"': "&quot;",
};
export const escapeXml = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ESCAPES[sign]!);

/** The element as text again. */
export function writeXml({ name, attributes, children, text }: XmlElement): string {
  const marks = Object.entries(attributes).map(([key, value]) => ` ${key}="${escapeXml(value)}"`);
  const inside = children.length > 0 ? children.map(writeXml).join("") : escapeXml(text);
  return inside === ""
    ? `<${name}${marks.join("")}/>`
    : `<${name}${marks.join("")}>${inside}</${name}>`;
}

export const child = ({ children }: XmlElement, name: string): XmlElement | undefined =>
  children.find((each) => each.name === name);

export const childrenNamed = ({ children }: XmlElement, name: string): XmlElement[] =>
  children.filter((each) => each.name === name);

/** The trimmed text of a child; "" where there is none. */
export const textOf = (element: XmlElement | undefined, name: string): string =>
  (element && child(element, name)?.text.trim()) ?? "";

/** A whole number in a child; undefined where there is none. */
export function wholeOf(element: XmlElement | undefined, name: string): number | undefined {
  const text = textOf(element, name);
  return /^[+-]?\d{1,9}$/.test(text) ? Number(text) : undefined;
}
