import { SaxesParser } from "saxes";
import { escapeXml } from "~/core/formats";
import type { EngravedSystem } from "~/core/score";

/** What a drawing of notes consists of, and what of it is kept; all else is left out. */
const KEPT: Readonly<Record<string, readonly string[]>> = {
  g: ["transform", "stroke-dasharray"],
  path: ["d", "transform", "stroke-width", "stroke-dasharray", "stroke-linecap", "fill-opacity"],
  use: ["transform"],
  polygon: ["points", "stroke-width", "stroke-linejoin"],
  polyline: ["points", "stroke-width"],
  rect: ["x", "y", "width", "height", "transform"],
  ellipse: ["cx", "cy", "rx", "ry", "transform"],
  circle: ["cx", "cy", "r"],
  text: ["x", "y", "text-anchor", "transform"],
  tspan: ["x", "y", "text-anchor", "font-size", "font-style", "font-weight", "font-family"],
};
/** Outlines only: without it the browser would fill them. */
const HOLLOW = new Set(["none", "transparent"]);
const CLASSES = /^(measure|note|rest|mRest|staff|beam|lyric|harm|tempo|dir)$/;
/** Bars are numbered by us. */
const LEFT_OUT = /\bmNum\b/;
const NOTE_ID = /^n\d+-(\d+)-\d+-(\d+)-(\d+)$/;
/** What is told of a drawing, or would be run, and is not drawn. */
const UNSEEN = new Set(["desc", "style", "script", "title", "foreignObject"]);
const SAFE = /^[\w\s.,#%()+-]*$/;

interface Staff {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

/**
 * The engraver's SVG as we show it: only what draws, by an allow-list; signs drawn once for all
 * systems; no ids; the boxes of the bars read from their staff lines.
 */
export function cleanDrawing(svg: string, signs: Map<string, string>): EngravedSystem {
  const parser = new SaxesParser();
  const out: string[] = [];
  const bars = new Map<number, Staff>();
  const onsets = new Map<number, Map<number, number>>();
  const open: { readonly name: string; readonly kept: boolean; readonly isStaff: boolean }[] = [];
  /** The note whose head has not come yet. */
  let headless: { readonly bar: number; readonly onset: number } | undefined;
  let size = { width: 1, height: 1 };
  let margin = { x: 0, y: 0 };
  let sign: { id: string; text: string } | undefined;
  let bar: number | undefined;
  let skip = 0;

  parser.on("opentag", ({ name, attributes }) => {
    // Self-closing elements are told as closed as well.
    if (skip > 0 || UNSEEN.has(name) || LEFT_OUT.test(attributes.class ?? "")) return void skip++;
    const isSign = name === "g" && open.at(-1)?.name === "defs";
    if (isSign) sign = { id: (attributes.id ?? "").split("-")[0]!, text: "" };
    if (name === "svg" && attributes.viewBox) {
      const [, , width, height] = attributes.viewBox.split(" ").map(Number);
      size = { width: width || 1, height: height || 1 };
    }
    if (attributes.class === "page-margin") {
      const [x = 0, y = 0] = attributes.transform?.match(/-?\d+(\.\d+)?/g)?.map(Number) ?? [];
      margin = { x, y };
    }
    const kind = (attributes.class ?? "").split(" ").find((each) => CLASSES.test(each));
    if (kind === "measure") bar = Number(/^b(\d+)$/.exec(attributes.id ?? "")?.[1] ?? NaN);
    const of = kind === "note" && NOTE_ID.exec(attributes.id ?? "");
    if (of) headless = { bar: Number(of[1]), onset: Number(of[2]) / Number(of[3]) };
    if (name === "use" && headless) {
      const x = Number(/translate\((-?[\d.]+)/.exec(attributes.transform ?? "")?.[1]);
      const inBar = onsets.get(headless.bar) ?? new Map<number, number>();
      inBar.set(headless.onset, Math.min(x, inBar.get(headless.onset) ?? Infinity));
      onsets.set(headless.bar, inBar);
      headless = undefined;
    }
    const isStaff = kind === "staff";
    if (name === "path" && open.at(-1)?.isStaff && bar !== undefined && attributes.d) {
      widen(bars, bar, attributes.d);
    }
    const allowed = KEPT[name];
    if (allowed) {
      const text = mark(name, attributes, allowed, kind);
      if (sign) sign.text += text;
      else out.push(text);
    }
    open.push({ name, kept: allowed !== undefined, isStaff });
  });
  parser.on("text", (text) => {
    if (skip > 0 || text.trim() === "") return;
    if (["text", "tspan"].includes(open.at(-1)?.name ?? "")) out.push(escapeXml(text));
  });
  parser.on("closetag", ({ name }) => {
    if (skip > 0) return void skip--;
    const closed = open.pop();
    if (!closed) return;
    if (sign && name === "g" && open.at(-1)?.name === "defs") {
      signs.set(sign.id, `${sign.text}</g>`);
      sign = undefined;
    } else if (closed.kept) {
      if (sign) sign.text += `</${name}>`;
      else out.push(`</${name}>`);
    }
  });
  parser.write(svg).close();

  return {
    ...size,
    drawing: out.join(""),
    bars: [...bars].map(([position, staff]) => ({
      bar: position,
      left: (staff.left + margin.x) / size.width,
      width: (staff.right - staff.left) / size.width,
      top: (staff.top + margin.y) / size.height,
      height: (staff.bottom - staff.top) / size.height,
      onsets: [...(onsets.get(position) ?? [])]
        .sort(([a], [b]) => a - b)
        .map(([onset, x]): [number, number] => [onset, (x + margin.x) / size.width]),
    })),
  };
}

function widen(bars: Map<number, Staff>, bar: number, path: string): void {
  const numbers = path.match(/-?\d+(\.\d+)?/g)?.map(Number) ?? [];
  const [x1, y1, x2, y2] = numbers;
  if (numbers.length !== 4) return;
  const staff = bars.get(bar);
  bars.set(bar, {
    left: Math.min(x1!, x2!, staff?.left ?? Infinity),
    right: Math.max(x1!, x2!, staff?.right ?? -Infinity),
    top: Math.min(y1!, staff?.top ?? Infinity),
    bottom: Math.max(y2!, staff?.bottom ?? -Infinity),
  });
}

function mark(
  name: string,
  attributes: Readonly<Record<string, string>>,
  allowed: readonly string[],
  kind: string | undefined,
): string {
  const kept = allowed.flatMap((key) => {
    const value = attributes[key];
    return value !== undefined && SAFE.test(value) ? [`${key}="${escapeXml(value)}"`] : [];
  });
  const { href = attributes["xlink:href"] ?? "", fill } = attributes;
  if (name === "use") kept.push(`href="#sign-${/^#([0-9A-F]{4,5})-/.exec(href)?.[1] ?? ""}"`);
  if (kind) kept.push(`class="${kind}"`);
  if (fill !== undefined && HOLLOW.has(fill)) kept.push('fill="none"');
  return `<${[name, ...kept].join(" ")}>`;
}
