import type { OfferKind } from "~/core/cost";
import type { ClickPattern, ClickProgramme, Drone, Silence } from "~/core/click";

const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);

const patternTold = (pattern: ClickPattern): string => {
  switch (pattern.kind) {
    case "beats":
      return pattern.subdivision === 1 ? "every beat" : `${pattern.subdivision} clicks a beat`;
    case "off-beats":
      return "off-beats";
    case "every-beats":
      return `every ${pattern.beats} beats`;
    case "every-bars":
      return pattern.bars === 1 ? "one a bar" : `one every ${pattern.bars} bars`;
    case "none":
      return "no click";
  }
};

const silenceTold = (silence: Silence): string => {
  switch (silence.kind) {
    case "never":
      return "";
    case "fixed":
      return `, ${silence.sounding} on ${silence.silent} silent`;
    case "random":
      return `, ${silence.percent} % of bars silent`;
  }
};

const pitch = ({ pitch: name, octave }: Pick<Drone, "pitch" | "octave">) => `${name}${octave}`;

export const workshop = {
  click: {
    title: "The click",
    told: ({ pattern, silence, drone }: ClickProgramme) =>
      drone?.alone
        ? `drone ${pitch(drone)} alone`
        : `${patternTold(pattern)}${silenceTold(silence)}${drone ? `, drone ${pitch(drone)}` : ""}`,
    pattern: "Sounds",
    patterns: {
      beats: "on every beat",
      "off-beats": "on the off-beats",
      "every-beats": "every few beats",
      "every-bars": "once in so many bars",
      none: "not at all while playing",
    } satisfies Record<ClickPattern["kind"], string>,
    subdivision: "Clicks",
    perBeat: "per beat",
    every: "Every",
    beats: "beats",
    bars: (count: number) => plural(count, "bar", "bars"),
    silence: "Silent bars",
    silences: {
      never: "none",
      fixed: "in a fixed pattern",
      random: "by chance",
    } satisfies Record<Silence["kind"], string>,
    sounding: "Sounding",
    silent: "Silent",
    share: "Share silent",
    seed: "Draw of chance",
    accent: "Accent",
    beat: "Beat",
    division: "Subdivision",
    drone: "Drone",
    droneOn: "A sustained pitch",
    pitch: "Pitch as read",
    octave: "Octave",
    a: "A",
    transposition: "Instrument reads",
    sounds: (sounding: { pitch: string; octave: number }, hz: string) =>
      `Sounds ${sounding.pitch}${sounding.octave}, ${hz} Hz`,
    alone: "Instead of the click",
    level: "Level",
  },
  workshop: {
    programme: "Schools in a row",
    addPhase: "Add a school",
    removePhase: (label: string) => `Take ${label} out`,
    movePhase: (label: string) =>
      `${label}: drag, or press Space and use the arrow keys, to move it`,
    phaseSpan: (from: string, to: string) => (from === to ? to : `${from}–${to}`),
    across: "It goes over several tempi, so its ladder climbs in percent of the full ones.",
    at: (percent: string) => `At ${percent}:`,
    fromBar: (bar: number) => `from bar ${bar}`,
    fullMoved: "The tempi of the piece have moved since this ladder was set.",
    takeFull: "Climb to the new full tempo",
    unbent: "Without its ritardando, fermata or breath",
    phaseTempi: "Its own start and target",
    here: (label: string) => `${label} here`,
    rungsLabel: "Rungs. Arrow keys choose one, Enter plays it.",
    rung: (number: number, of: number) => `Rung ${number} of ${of}`,
    hear: "Hear it",
    hush: "Silence",
    cycle: (slow: number, fast: number, tempo: number) => `${slow} slow, ${fast} fast at ${tempo}`,
    byTurns: (tasks: readonly string[]) => `by turns ${tasks.join(", ")}`,
    restAfter: (seconds: number) => `then ${seconds} s rest`,
    expected: (plays: string, minutes: string) => `≈ ${plays} plays, ${minutes}`,
    outOfSight: "out of reach",
    compare: "Compare",
    compareHelp: "Keeps this one beside, so that you can draw another and see both.",
    comparing: "Side by side",
    beside: "Kept beside",
    now: "Drawn now",
    take: "Take this one",
    putAway: "Set it aside",
    keep: "Keep in the library",
    kept: (name: string) => `Kept as “${name}”.`,
    keepName: "Name in the library",
    fromLibrary: "From the library",
    fitted: (name: string, target: string) => `“${name}”, fitted to a target of ${target}.`,
    fromToday: (day: number, of: number, tempo: number) =>
      `Drawn from where it stands: practice day ${day} of ${of}, from ${tempo} bpm.`,
    part: (bars: string) => `For now only ${bars}.`,
    partOffered: (bars: string, minutes: number) =>
      `The whole passage would hardly fit in ${minutes} minutes. Begin with ${bars}.`,
    targetOffered: (target: string, minutes: number) =>
      `The full tempo would hardly fit in ${minutes} minutes. Aim for ${target} first.`,
    wholePassage: "Use the whole passage",
    tapStart: "Tap the start",
    concert: (days: number) => `Until the concert: ${days} ${plural(days, "day", "days")}`,
    steep: (needed: string, best: string, name: string) =>
      `This needs ${needed} a practice day; more than ${best} is unlikely, by what ${name} has gained so far. More days, or an honest lower target, would hold.`,
    steady: (needed: string, best: string, name: string) =>
      `This needs ${needed} a practice day; up to ${best} is likely, by what ${name} has gained so far.`,
    steepUnknown: (needed: string) => `This needs ${needed} a practice day.`,
  },
  cost: {
    title: (name: string) => `What it costs ${name}`,
    rungs: "Rungs",
    plays: "Plays",
    minutes: "Minutes",
    nearLimit: "Near the limit",
    about: (value: string) => `≈ ${value}`,
    many: "too many",
    hours: "over 10 h",
    fits: (minutes: number, days: number) =>
      days === 1 ? `Through in ${minutes} min` : `Through in ${days} × ${minutes} min`,
    told: (name: string, low: string, high: string) =>
      `Four times in five it takes ${name} between ${low} and ${high} minutes.`,
    hardest: (tempo: number, clean: string, plays: string) =>
      `Hardest at ${tempo} bpm, where ${clean} of plays are clean: about ${plays} plays there.`,
    outOfReach: (name: string, tempo: number, clean: string) =>
      `Out of ${name}'s reach as it is: at ${tempo} bpm only ${clean} of plays would be clean. Try a lower target for now, or a lighter gate.`,
    fromPrior: "Nothing played yet: reckoned from what is usual for a new passage.",
    fromNotes: (share: string) =>
      `Nothing played yet: by its notes, as hard as they are, the ceiling is expected at ${share} of the target.`,
    fromRecord: (plays: string) => `Reckoned from ${plays} plays of this passage.`,
    byFormula: "Plays and minutes by formula",
    byBoth: "Where there is no formula, simulated",
    bySimulation: (runs: string) => `; span and chance from ${runs} simulated climbs.`,
    reckoning: "; span and chance are being reckoned.",
    byDays: "Each day begins by the start rule.",
    learningOut: "What is learned on the way is left out, so it errs on the long side.",
    near: {
      much: (share: string) =>
        `${share} of the playing time lies near the limit; 10 to 15 % is the aim. Start lower or stop earlier.`,
      right: (share: string) =>
        `${share} of the playing time lies near the limit: about as much as there should be.`,
      little: (share: string) =>
        `${share} of the playing time lies near the limit: safe and easy, with little that pushes.`,
    },
  },
  offer: {
    title: "It is not likely to fit. What would:",
    titleFar: "It does not fit. What brings it closer:",
    kinds: {
      "larger-step": "Larger steps",
      "lighter-gate": "A lighter gate",
      smaller: "Fewer bars",
      higher: "Start higher",
      "lower-target": "A lower target for now",
      days: "Over more days",
    } satisfies Record<OfferKind, string>,
    rungs: (count: number) => `${count} ${plural(count, "rung", "rungs")}`,
    start: (tempo: string) => `from ${tempo}`,
    target: (tempo: string) => `to ${tempo}`,
    days: (days: number, minutes: number) => `${days} days of ${minutes} min`,
    chance: (share: string) => `through: ${share}`,
  },
  library: {
    title: "Library",
    lead: "Ladders, plans of sessions and exercises to use again: at the lesson, in a workshop, for anyone in the room.",
    empty:
      "Nothing kept yet. Draw a ladder for a passage and press “Keep in the library” in its workshop; a piece with its passages is kept as an exercise on its own page.",
    name: "Name",
    path: "The way",
    kind: "What it is",
    allKinds: "everything",
    kinds: { ladder: "ladder", plan: "plan of a session", exercise: "exercise" },
    kept: "Kept on",
    acts: "To do",
    exercise: (it: { bars: number; passages: number; version: number; given: number }) => {
      const what = `${it.bars} ${plural(it.bars, "bar", "bars")}, ${it.passages} ${plural(it.passages, "passage", "passages")}`;
      const again = it.version > 1 ? `; version ${it.version}` : "";
      const given =
        it.given > 0 ? `; given to ${it.given} ${plural(it.given, "student", "students")}` : "";
      return what + again + given;
    },
    give: "Give",
    giveOf: (name: string) => `Give “${name}” to students`,
    close: "Close",
    removeHow: {
      ladder: "Passages that have it keep it.",
      plan: "Weeks that use it go back to the usual plan.",
      exercise: "Students who have it keep it, with everything they played.",
    },
    remove: (name: string) => `Take “${name}” out`,
    takeOut: "Take out",
    find: "Find by name or school",
    rename: "Rename",
    renameOf: (name: string) => `Rename “${name}”`,
    newName: "New name",
    keepName: "Keep the name",
  },
} as const;
