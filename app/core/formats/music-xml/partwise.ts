import { err, ok, type Result } from "~/core/result";
import { childrenNamed, type XmlElement } from "../xml";

/** The document with its bars inside their parts; one ordered by bars is turned round. */
export function partwise(document: XmlElement): Result<XmlElement, string> {
  if (document.name === "score-partwise") return ok(document);
  if (document.name !== "score-timewise") {
    return err(`It is no score: it begins with <${document.name.slice(0, 40)}>.`);
  }
  const parts = new Map<string, XmlElement>();
  for (const bar of childrenNamed(document, "measure")) {
    for (const { attributes, children } of childrenNamed(bar, "part")) {
      const id = attributes.id ?? "";
      const part = parts.get(id) ?? { name: "part", attributes: { id }, children: [], text: "" };
      part.children.push({ name: "measure", attributes: bar.attributes, children, text: "" });
      parts.set(id, part);
    }
  }
  const head = document.children.filter(({ name }) => name !== "measure");
  return ok({ ...document, name: "score-partwise", children: [...head, ...parts.values()] });
}
