import * as v from "valibot";
import type { Engraved, EngravedSystem } from "./engraved";
import { MOST_BARS } from "./piece";

/** A share of a page's width or height, from its upper left corner. */
const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));

export const MOST_PAGES = 40;
/** The longer side of a page's image, in pixels. */
export const MOST_PAGE_PIXELS = 2000;
/** No bar on paper is narrower than this share of its page. */
const NARROWEST_BAR = 0.008;
const MOST_BARS_IN_SYSTEM = 40;

const systemSchema = v.pipe(
  v.object({
    page: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(MOST_PAGES)),
    left: share,
    top: share,
    right: share,
    bottom: share,
    /** The bar lines between its bars, from left to right. */
    lines: v.pipe(v.array(share), v.maxLength(MOST_BARS_IN_SYSTEM - 1)),
  }),
  v.check(({ top, bottom }) => bottom > top, "A system has a height."),
  v.check(
    ({ left, right, lines }) => [left, ...lines].every((line, at) => line < (lines[at] ?? right)),
    "Bar lines stand one after the other inside their system.",
  ),
);
/** One system of bars on a page of paper, as a box drawn over it. */
export type PaperSystem = v.InferOutput<typeof systemSchema>;

/** The systems of a piece on paper, in the order in which they are read. */
export const paperLayoutSchema = v.pipe(
  v.array(systemSchema),
  v.maxLength(MOST_BARS),
  v.transform((systems) => inReadingOrder(systems)),
  v.check((systems) => barsOnPaper(systems) <= MOST_BARS, `At most ${MOST_BARS} bars.`),
);
export type PaperLayout = v.InferOutput<typeof paperLayoutSchema>;

/** Page by page, from top to bottom, systems beside each other from left to right. */
export function inReadingOrder(systems: readonly PaperSystem[]): PaperSystem[] {
  const beside = (one: PaperSystem, other: PaperSystem) =>
    Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top) >
    Math.min(one.bottom - one.top, other.bottom - other.top) / 2;
  return [...systems].sort(
    (one, other) =>
      one.page - other.page || (beside(one, other) ? one.left - other.left : one.top - other.top),
  );
}

export const barsIn = ({ lines }: PaperSystem): number => lines.length + 1;

export const barsOnPaper = (systems: readonly PaperSystem[]): number =>
  systems.reduce((sum, system) => sum + barsIn(system), 0);

/** A system with so many bars of one width; at most as many as it has room for. */
export function withBars(system: PaperSystem, bars: number): PaperSystem {
  const { left, right } = system;
  const room = Math.floor((right - left) / NARROWEST_BAR);
  const count = Math.max(1, Math.min(MOST_BARS_IN_SYSTEM, room, Math.floor(bars) || 1));
  const lines = Array.from(
    { length: count - 1 },
    (_, at) => left + ((right - left) * (at + 1)) / count,
  );
  return { ...system, lines };
}

/**
 * Moves one of a system's lines, its edges included (0: the left one), to a share of the page's
 * width; as far as its neighbours leave room.
 */
export function withLine(system: PaperSystem, index: number, to: number): PaperSystem {
  const all = [system.left, ...system.lines, system.right];
  const lowest = index === 0 ? 0 : all[index - 1]! + NARROWEST_BAR;
  const highest = index === all.length - 1 ? 1 : all[index + 1]! - NARROWEST_BAR;
  all[index] = Math.min(highest, Math.max(lowest, to));
  const [left, ...rest] = all;
  return { ...system, left: left!, lines: rest.slice(0, -1), right: rest.at(-1)! };
}

const inside = (value: number): number => Math.min(1, Math.max(0, value));

/** The same system elsewhere on its page, as far as the page goes. */
export function moved(system: PaperSystem, right: number, down: number): PaperSystem {
  const { left, top, bottom } = system;
  const across = Math.min(1 - system.right, Math.max(-left, right));
  const along = Math.min(1 - bottom, Math.max(-top, down));
  // The last bits of a sum may lie beyond the page's edge.
  return {
    ...system,
    left: inside(left + across),
    right: inside(system.right + across),
    lines: system.lines.map((line) => line + across),
    top: inside(top + along),
    bottom: inside(bottom + along),
  };
}

/** No system is lower than this share of its page. */
const LOWEST_SYSTEM = 0.01;

/** The same system with its upper or lower edge elsewhere. */
export function withEdge(system: PaperSystem, edge: "top" | "bottom", to: number): PaperSystem {
  return edge === "top"
    ? { ...system, top: Math.min(system.bottom - LOWEST_SYSTEM, Math.max(0, to)) }
    : { ...system, bottom: Math.max(system.top + LOWEST_SYSTEM, Math.min(1, to)) };
}

/** A system between two corners of a page, given in any order; undefined where it is too small. */
export function systemBetween(
  page: number,
  one: readonly [number, number],
  other: readonly [number, number],
  bars: number,
): PaperSystem | undefined {
  const [left, right] = [one[0], other[0]].map(inside).sort((a, b) => a - b);
  const [top, bottom] = [one[1], other[1]].map(inside).sort((a, b) => a - b);
  if (right! - left! < NARROWEST_BAR * 2 || bottom! - top! < LOWEST_SYSTEM) return undefined;
  return withBars(
    { page, left: left!, top: top!, right: right!, bottom: bottom!, lines: [] },
    bars,
  );
}

/** What comes below a page's last system: one like it, at the distance of the last two. */
export function nextLike(systems: readonly PaperSystem[], page: number): PaperSystem {
  const here = inReadingOrder(systems).filter((each) => each.page === page);
  const last = here.at(-1) ?? systems.at(-1);
  if (!last)
    return withBars({ page, left: 0.1, top: 0.08, right: 0.9, bottom: 0.16, lines: [] }, 4);
  if (here.length === 0) {
    const first = systems.find((each) => each.page === last.page) ?? last;
    return { ...last, page, top: first.top, bottom: first.top + (last.bottom - last.top) };
  }
  const before = here.at(-2);
  const usual = (last.bottom - last.top) * 1.25;
  const down = before && last.top - before.top > 0.01 ? last.top - before.top : usual;
  return moved(last, 0, down);
}

/** An image of a page. */
export interface PaperPage {
  readonly number: number;
  /** In pixels. */
  readonly width: number;
  readonly height: number;
  readonly address: string;
}

/** Room for the numbers above a system, in shares of its height. */
const HEADROOM = 0.14;
/** So much of a box lies above and below its staves. */
const AROUND = 0.16;

/**
 * Systems on paper as they are shown: each cut out of the image of its page. `first` is the
 * position of the first bar; of a range only the systems that hold some of it. `halved` cuts long
 * systems into two at a bar line, for narrow windows.
 */
export function engravedPaper(
  layout: PaperLayout,
  pages: readonly PaperPage[],
  first: number,
  range: { readonly from: number; readonly to: number } | undefined,
  halved: boolean,
): Engraved {
  let bar = first;
  const systems: EngravedSystem[] = [];
  for (const system of layout) {
    const page = pages.find(({ number }) => number === system.page);
    for (const part of halved ? halves(system) : [system]) {
      const [from, to] = [bar, bar + part.lines.length];
      bar = to + 1;
      const asked = !range || (to >= range.from && from <= range.to);
      if (asked && page) systems.push(cutOut(part, page, from));
    }
  }
  return { signs: "", systems };
}

function halves(system: PaperSystem): PaperSystem[] {
  const { left, right, lines } = system;
  if (lines.length === 0) return [system];
  const middle = (left + right) / 2;
  const cut = lines.reduce((best, line) =>
    Math.abs(line - middle) < Math.abs(best - middle) ? line : best,
  );
  return [
    { ...system, right: cut, lines: lines.filter((line) => line < cut) },
    { ...system, left: cut, lines: lines.filter((line) => line > cut) },
  ];
}

/** To a hundredth of a pixel. */
const rounded = (pixels: number): number => Math.round(pixels * 100) / 100;

function cutOut(system: PaperSystem, page: PaperPage, firstBar: number): EngravedSystem {
  const { left, top, right, bottom, lines } = system;
  const [x, y] = [left * page.width, top * page.height];
  const [width, lower] = [(right - left) * page.width, (bottom - top) * page.height];
  const above = lower * HEADROOM;
  const height = lower + above;
  const edges = [left, ...lines, right].map((edge) => (edge - left) / (right - left));
  const view = [x, y, width, lower].map(rounded).join(" ");
  return {
    width,
    height,
    drawing:
      `<svg y="${rounded(above)}" width="${rounded(width)}" height="${rounded(lower)}" viewBox="${view}">` +
      `<image href="${page.address}" width="${page.width}" height="${page.height}"/></svg>`,
    bars: edges.slice(0, -1).map((edge, at) => ({
      bar: firstBar + at,
      left: edge,
      width: edges[at + 1]! - edge,
      top: (above + AROUND * lower) / height,
      height: ((1 - 2 * AROUND) * lower) / height,
      onsets: [],
    })),
  };
}
