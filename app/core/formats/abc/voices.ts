interface AbcVoice {
  readonly name: string;
  /** The tune with this voice alone. */
  readonly text: string;
}

const MOST_VOICES = 16;
const FIELD = /^V:\s*(\S+)\s*(.*)$/;
const INLINE = /^\s*\[V:\s*([^\s\]]+)\s*([^\]]*)\]/;
const NAME = /(?:name|nm)\s*=\s*"?([^"]+?)"?\s*(?:\w+=|$)/;

/** The first tune of a file: its fields up to the key, and what follows it. */
function firstTune(text: string): { head: string[]; body: string[] } {
  const lines = text.split(/\r\n|\r|\n/);
  const from = Math.max(
    0,
    lines.findIndex((line) => /^X:/.test(line)),
  );
  const tune: string[] = [];
  for (const line of lines.slice(from)) {
    // An empty line ends a tune; another number begins the next.
    if (tune.length > 0 && (/^X:/.test(line) || line.trim() === "")) break;
    tune.push(line);
  }
  const key = tune.findIndex((line) => /^K:/.test(line));
  return key === -1
    ? { head: tune, body: [] }
    : { head: tune.slice(0, key + 1), body: tune.slice(key + 1) };
}

/**
 * The voices of the first tune, each as a tune of its own: read together, a voice that has more
 * lines than another would be taken for it.
 */
export function splitVoices(text: string): AbcVoice[] {
  const { head, body } = firstTune(text);
  const voices = new Map<string, { name: string; declared: string[]; lines: string[] }>();
  const voiceCalled = (id: string, marks = "") => {
    const voice = voices.get(id) ?? { name: "", declared: [], lines: [] };
    voice.name ||= NAME.exec(marks)?.[1]?.trim() ?? "";
    if (marks) voice.declared.push(`V:1 ${marks}`);
    voices.set(id, voice);
    return voice;
  };
  for (const line of head) {
    const field = FIELD.exec(line);
    if (field) voiceCalled(field[1]!, field[2]);
  }
  const common = head.filter((line) => !FIELD.test(line) && !/^%%(score|staves)/.test(line));
  let current: ReturnType<typeof voiceCalled> | undefined;
  for (const line of body) {
    const named = FIELD.exec(line) ?? INLINE.exec(line);
    if (named) current = voiceCalled(named[1]!, named[2]);
    current ??= voiceCalled([...voices.keys()][0] ?? "1");
    const music = FIELD.test(line) ? "" : line.replace(INLINE, "");
    if (music.trim()) current.lines.push(music);
  }
  return [...voices.values()]
    .filter(({ lines }) => lines.length > 0)
    .slice(0, MOST_VOICES)
    .map(({ name, declared, lines }) => ({
      name,
      text: [...common.slice(0, -1), ...declared, ...common.slice(-1), ...lines].join("\n"),
    }));
}
