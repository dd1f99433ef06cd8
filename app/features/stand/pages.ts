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

/** The page to be seen while a bar is heard: that bar's own until it ends. */
export const pageShown = (pages: readonly EngravedSystem[][], heard: number): number =>
  Math.max(
    0,
    pages.findIndex((page) => page.some(({ bars }) => bars.some(({ bar }) => bar === heard))),
  );
