const LONGEST = 80;

/** A title as the name of a file anywhere: letters, numbers and a few signs. */
export const fileNameOf = (title: string): string =>
  title
    .normalize("NFC")
    .replace(/[^\p{L}\p{N} .,'()_-]+/gu, "_")
    .replace(/^[. ]+|[. ]+$/g, "")
    .slice(0, LONGEST) || "_";

/** Gives each thing its own name; the second of the same name is followed by a 2. */
export class Names {
  private readonly taken = new Set<string>();

  own(title: string): string {
    const name = fileNameOf(title);
    for (let n = 1; ; n++) {
      const tried = n === 1 ? name : `${name} ${n}`;
      if (this.taken.has(tried.toLowerCase())) continue;
      this.taken.add(tried.toLowerCase());
      return tried;
    }
  }
}
