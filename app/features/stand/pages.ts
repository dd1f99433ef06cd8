import type { EngravedSystem } from "~/core/score";

/** Systems laid on pages as high as the place allows, each with one at least. */
export function pagesOf(
  systems: readonly EngravedSystem[],
  place: { readonly width: number; readonly height: number },
): EngravedSystem[][] {
  const pages: EngravedSystem[][] = [];
  let left = 0;
  for (const system of systems) {
    const height = (system.height * place.width) / system.width;
    const page = pages.at(-1);
    if (page && height <= left) page.push(system);
    else pages.push([system]);
    left = (page && height <= left ? left : place.height) - height;
  }
  return pages;
}

/**
 * The page to be seen while a bar is heard: that of the bar after it, so that it turns one bar
 * ahead; of the last page nothing comes after.
 */
export function pageShown(pages: readonly EngravedSystem[][], bar: number): number {
  const of = (wanted: number) =>
    pages.findIndex((page) => page.some(({ bars }) => bars.some((each) => each.bar === wanted)));
  const next = of(bar + 1);
  return Math.max(0, next === -1 ? of(bar) : next);
}
