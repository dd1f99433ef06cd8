import {
  barLength,
  beatUnitValue,
  timeInBar,
  TOLERANCE,
  type BarTempo,
  type BeatUnit,
  type Bpm,
  type Metre,
} from "~/core/units";
import type { BeatMap, LoopBar, LoopPlay, MapBar, MapClick, MapMarker, Pace } from "./map";
import { barPulses, lengthInSeconds, patternPulses, type Pulse, type Voice } from "./pattern";
import { isSilentBar, PLAIN_CLICK, type ClickProgramme } from "./programme";

const BREATHER_LEVEL = 0.35;
/** Softer than the cue at a loop's beginning: it sounds while something is being played. */
const WARNING_LEVEL = 0.7;

const quietly = (pulse: Pulse) =>
  pulse.voice === "subdivision" ? undefined : { voice: "beat" as const, level: BREATHER_LEVEL };

/** How loud a programme sets the voice of a pulse. */
const levelOf = ({ levels }: ClickProgramme, { voice }: Pulse): number =>
  voice === "accent" || voice === "beat" || voice === "subdivision" ? levels[voice] / 100 : 1;

type Sound = (pulse: Pulse) => { voice: Voice; level: number } | undefined;

const isIn = (stretches: BarTempo["silent"], { at }: Pulse): boolean =>
  stretches.some(({ from, to }) => at >= from - TOLERANCE && at < to - TOLERANCE);

/**
 * Builds a map bar by bar. Bar starts are sums of exact bar lengths since the tempo last changed,
 * taken to seconds once.
 */
export class MapWriter {
  private readonly clicks: MapClick[] = [];
  private readonly bars: MapBar[] = [];
  private readonly markers: MapMarker[] = [];
  /** Whole notes since the tempo last changed, and the second at which it did. */
  private wholes = 0;
  private since = 0;
  private pace: Pace = "steady";
  private go: MapBar["go"] = { number: 1, of: 1 };
  /** Bars and beats played so far. */
  private from = { bar: 0, beat: 0 };

  constructor(
    private tempo: Bpm,
    private readonly beatUnit: BeatUnit,
    private readonly click: ClickProgramme = PLAIN_CLICK,
    private readonly turn = 0,
  ) {}

  private seconds(wholes: number): number {
    return this.since + lengthInSeconds(wholes, this.tempo, this.beatUnit);
  }

  /** A moment of the bar that is written next, `at` from its bar line; `from` is where it begins. */
  private within({ tempo }: Pick<LoopBar, "tempo">, at: number, from: number): number {
    const gone = tempo ? timeInBar(tempo, at) - timeInBar(tempo, from) : at - from;
    return this.seconds(this.wholes + gone);
  }

  mark(name: MapMarker["name"]): void {
    this.markers.push({ name, at: this.seconds(this.wholes) });
  }

  /** Marks a point of the bar that is written next. */
  markIn(name: MapMarker["name"], bar: LoopBar, at: number, from: number): void {
    this.markers.push({ name, at: this.within(bar, at, from) });
  }

  cue(): void {
    this.clicks.push({ at: this.seconds(this.wholes), voice: "cue", level: 1 });
  }

  /** From this bar line on, another tempo. */
  playAt({ tempo, pace }: LoopPlay, go: MapBar["go"] = { number: 1, of: 1 }): void {
    this.since = this.seconds(this.wholes);
    this.wholes = 0;
    this.tempo = tempo;
    this.pace = pace;
    this.go = go;
  }

  /** Writes a bar, or of one that is cut only what lies between `from` and `to`, in whole notes. */
  private bar(
    info: Pick<MapBar, "part" | "number" | "of" | "then" | "turn">,
    { metre, tempo: course }: Pick<LoopBar, "metre" | "tempo">,
    pulses: readonly Pulse[],
    sound: Sound,
    { from = 0, to = barLength(metre) }: { from?: number; to?: number } = {},
  ): void {
    const unit = course?.unit ?? this.beatUnit;
    const momentOf = (at: number) => this.within({ tempo: course }, at, from);
    const isPlayed = (pulse: Pulse) => isIn([{ from, to }], pulse);
    let quiet = true;
    for (const pulse of pulses.filter(isPlayed)) {
      const heard = course && isIn(course.silent, pulse) ? undefined : sound(pulse);
      if (heard && heard.level > 0) {
        quiet = false;
        this.clicks.push({ at: momentOf(pulse.at), ...heard });
      }
    }
    const beats = barPulses(metre, unit)
      .filter((pulse) => pulse.voice !== "subdivision" && isPlayed(pulse))
      .map(({ at }) => momentOf(at));
    const { pace, go } = this;
    const start = momentOf(from);
    const end = momentOf(to);
    const tempo = this.toldIn(course);
    const duration = end - start;
    // A bar with something silent on purpose still shows its beats: they lead through it.
    const led = course !== undefined && course.silent.length > 0;
    this.bars.push({
      ...info,
      start,
      duration,
      quiet: quiet && !led,
      beats,
      tempo,
      unit,
      pace,
      go,
    });
    if (course) [this.since, this.wholes] = [end, 0];
    else this.wholes += to - from;
  }

  /** The tempo of the play, told in a bar's own unit at its own speed. */
  private toldIn(course: BarTempo | undefined): Bpm {
    if (!course) return this.tempo;
    const { pieces, unit } = course;
    const base = beatUnitValue(this.beatUnit);
    return ((this.tempo * pieces[0]!.atFrom * base) / beatUnitValue(unit)) as Bpm;
  }

  countIn(metre: Metre, { number, of, from }: { number: number; of: number; from: number }): void {
    const pulses = barPulses(metre, this.beatUnit, this.click.countIn.subdivision);
    this.bar({ part: "count-in", number, of }, { metre }, pulses, (pulse) => this.counted(pulse), {
      from,
    });
  }

  /** A bar that is counted within, without a sound. */
  innerBar(metre: Metre, number: number, of: number): void {
    this.bar({ part: "inner", number, of }, { metre }, [], () => undefined);
  }

  /** The bar in which playing begins: counted up to there, clicked as the programme says after. */
  leadBar(bar: LoopBar, { lead, of, from }: { lead: number; of: number; from: number }): void {
    const { number, metre, tempo } = bar;
    const unit = tempo?.unit ?? this.beatUnit;
    const isBefore = ({ at }: Pulse) => at < lead - TOLERANCE;
    const counting = barPulses(metre, unit, this.click.countIn.subdivision);
    const after = patternPulses(this.click.pattern, metre, unit, this.from);
    const pulses = [...counting.filter(isBefore), ...after.filter((pulse) => !isBefore(pulse))];
    const sound: Sound = (pulse) =>
      isBefore(pulse) ? this.counted(pulse) : this.played(tempo)(pulse);
    this.bar({ part: "lead", number, of }, bar, pulses, sound, { from });
  }

  /** One bar of the play. `then` warns, a beat ahead, of another pace at its end. */
  playBar(
    bar: LoopBar,
    { to, ...told }: { to: number } & Pick<MapBar, "of" | "then" | "turn">,
  ): void {
    const { then } = told;
    const { metre, number, tempo } = bar;
    const { click, from } = this;
    const unit = tempo?.unit ?? this.beatUnit;
    const pulses = barPulses(metre, unit);
    if (then !== undefined && then !== this.pace) {
      const lastBeat = pulses.findLast(({ voice }) => voice !== "subdivision")!;
      const at = this.within(bar, lastBeat.at, 0);
      this.clicks.push({ at, voice: "cue", level: WARNING_LEVEL });
    }
    const silent = isSilentBar(click.silence, from.bar, this.turn);
    const sounding = silent ? [] : patternPulses(click.pattern, metre, unit, from);
    const back = tempo && tempo.counted.length > 0 ? barPulses(metre, unit) : [];
    const counted = back.filter((pulse) => isIn(tempo!.counted, pulse));
    this.from = { bar: from.bar + 1, beat: from.beat + pulses.length };
    const info = { part: "play", number, ...told } as const;
    const others = sounding.filter((pulse) => !tempo || !isIn(tempo.counted, pulse));
    this.bar(info, bar, [...counted, ...others], this.played(tempo), { to });
  }

  /** The count sounds on the beats, softly between them where it is divided. */
  private counted(pulse: Pulse) {
    if (pulse.voice === "accent") return { voice: "accent" as const, level: 1 };
    if (pulse.voice === "beat") return { voice: "count" as const, level: 1 };
    return this.click.countIn.subdivision > 1 ? this.divided(pulse) : undefined;
  }

  private divided(pulse: Pulse) {
    return { voice: pulse.voice, level: levelOf(this.click, pulse) };
  }

  /** As the programme sets it; counting where the click comes back after it was silent. */
  private played(tempo: BarTempo | undefined): Sound {
    return (pulse) =>
      tempo && isIn(tempo.counted, pulse) ? this.counted(pulse) : this.asSet(pulse);
  }

  private asSet(pulse: Pulse) {
    return this.click.drone?.alone ? undefined : this.divided(pulse);
  }

  breather(metre: Metre, { number, of, to }: { number: number; of: number; to: number }): void {
    const pulses = barPulses(metre, this.beatUnit);
    this.bar({ part: "breather", number, of }, { metre }, pulses, quietly, { to });
  }

  gridBar(metre: Metre, pulses: readonly Pulse[], number: number, of: number): void {
    this.bar({ part: "play", number, of }, { metre }, pulses, ({ voice }) => ({ voice, level: 1 }));
  }

  finish(): BeatMap {
    this.mark("map-ended");
    // A cue may have been written ahead of the bar's own clicks.
    const clicks = [...this.clicks].sort((a, b) => a.at - b.at);
    const { bars, markers } = this;
    return { clicks, bars, markers, duration: this.seconds(this.wholes) };
  }
}
