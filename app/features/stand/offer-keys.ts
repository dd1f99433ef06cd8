/** The offers on the screen, in their order; each place where the stand asks marks its own. */
const offers = (): HTMLElement[] => [
  ...document.querySelectorAll<HTMLElement>("[data-offers] button:not(:disabled)"),
];

/** Presses an offer by its place; whether there was one. */
export function pressOffer(place: number): boolean {
  const offer = offers()[place];
  offer?.click();
  return offer !== undefined;
}

/** Moves the focus among the offers, so that Enter takes one; whether there were any. */
export function stepAmongOffers(by: 1 | -1): boolean {
  const all = offers();
  if (all.length === 0) return false;
  const now = all.indexOf(document.activeElement as HTMLElement);
  const next = now === -1 ? (by === 1 ? 0 : all.length - 1) : (now + by + all.length) % all.length;
  all[next]!.focus();
  return true;
}
