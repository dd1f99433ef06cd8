const withoutNames = (music: string): string =>
  music.replace(/<part-(name|abbreviation)>[^<]*<\/part-\1>/g, (_, name) => `<part-${name}/>`);

/**
 * The music with some of its parts only, as {@link forEngraving} has written it; all of them where
 * none is named or one isn't there. A part alone needs no name beside it.
 */
export function partsOnly(engraving: string, ids: readonly string[]): string {
  const wanted = new Set(ids);
  const all = [...engraving.matchAll(/<part id="([^"]*)">/g)].map((match) => match[1]!);
  if (wanted.size === 0 || !ids.every((id) => all.includes(id))) {
    return all.length > 1 ? engraving : withoutNames(engraving);
  }
  const music = engraving
    .replace(/<part id="([^"]*)">.*?<\/part>/gs, (part, id: string) => (wanted.has(id) ? part : ""))
    .replace(/<score-part id="([^"]*)">.*?<\/score-part>/gs, (part, id: string) =>
      wanted.has(id) ? part : "",
    )
    .replace(/<part-group .*?<\/part-group>|<part-group [^>]*\/>/gs, "");
  return wanted.size > 1 ? music : withoutNames(music);
}
