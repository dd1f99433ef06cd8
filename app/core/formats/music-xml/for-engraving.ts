import { NOTHING } from "~/core/units";
import { childrenNamed, type XmlElement, writeXml } from "../xml";
import type { ReadScore } from "./score";

export const barId = (position: number): string => `b${position}`;

/** What the engraver must not see: pages of another width, and bars of rest drawn as one. */
const LEFT_OUT = new Set(["defaults", "credit", "print", "measure-style", "identification"]);

const without = ({ name, attributes, children, text }: XmlElement): XmlElement => {
  const kept = Object.fromEntries(Object.entries(attributes).filter(([key]) => key !== "id"));
  return {
    name,
    attributes: name === "score-part" ? { id: attributes.id ?? "" } : kept,
    children: children.filter((each) => !LEFT_OUT.has(each.name)).map(without),
    text,
  };
};

/**
 * The document as it is given to the engraver: with ids of ours on bars ("b12") and notes
 * ("n0-12-3-1-8": part, bar, which
 * of that bar, and its onset in the bar, here an eighth), nothing of another page.
 */
export function forEngraving({ document, score, elements, onsets }: ReadScore): string {
  const first = score.pickup ? 0 : 1;
  const ids = new Map<XmlElement, string>();
  elements.forEach((bar, index) =>
    bar.forEach((ofPart, part) =>
      ofPart.forEach((element, n) => {
        const [top, bottom] = onsets.get(element) ?? NOTHING;
        ids.set(element, `n${part}-${index + first}-${n}-${top}-${bottom}`);
      }),
    ),
  );
  const root = {
    ...without({ ...document, children: document.children.filter(({ name }) => name !== "part") }),
  };
  const parts = childrenNamed(document, "part").map((part): XmlElement => ({
    ...part,
    attributes: { id: part.attributes.id ?? "" },
    children: childrenNamed(part, "measure").map((measure, index): XmlElement => {
      const kept = measure.children.filter(({ name }) => !LEFT_OUT.has(name));
      return {
        ...measure,
        attributes: { ...measure.attributes, id: barId(index + first) },
        children: kept.map((each) => {
          const plain = without(each);
          const id = ids.get(each);
          return id ? { ...plain, attributes: { ...plain.attributes, id } } : plain;
        }),
      };
    }),
  }));
  return writeXml({ ...root, children: [...root.children, ...parts] });
}
