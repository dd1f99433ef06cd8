import type { Between, Flaw } from "~/core/session";
import type { Accents, ClickSound, Pace } from "~/core/click";
import type { Rule, RuleKind } from "~/core/gate";

const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);

export const stand = {
  flaw: {
    notes: "notes",
    rhythm: "rhythm",
    tone: "tone",
    tension: "tension",
    memory: "memory",
    coordination: "coordination",
  } satisfies Record<Flaw, string>,
  stand: {
    title: "Stand",
    byHeart: "From memory:",
    hiddenNotes: {
      none: "all notes shown",
      alternate: "every second bar hidden",
      "after-first-beat": "first beats shown",
      "more-each-day": "a bar more each day",
      all: "all notes hidden",
    },
    lookOnce: "Show them for this play",
    hideNotes: "Fold the notes away",
    showNotes: "Show the notes",
    start: "Start",
    goOn: "Go on",
    pause: "Pause",
    clean: "Clean",
    flawed: "Flawed",
    cleanKey: "→ or PageDown",
    flawedKey: "← or PageUp",
    earlyClean: "Clean, at the end of the run",
    counting: "Counting …",
    stopHere: "Flawed: stop here",
    undo: "Undo",
    slower: "Slower",
    faster: "Faster",
    repeat: "Repeat",
    skip: "Skip",
    rest: "Rest",
    note: "Note",
    endWell: "End well",
    hurts: "It hurts: stop",
    help: "Keys",
    volume: "Volume of the click",
    between: "Count-in",
    more: "More",
    leave: "Leave the stand",
    opening: "Opening …",
    noSound: "No sound came. Try again.",
    hiddenTempo: "tempo hidden",
    fromBar: (bar: number) => `bar ${bar}: `,
    ofFull: (percent: string) => `${percent} of full tempo`,
    rung: (number: number, of: number) => `Rung ${number} of ${of}`,
    blockMinutes: (played: number, of: number) => `${played} of ${of} min`,
    phase: {
      ready: "Ready",
      stopped: "Paused",
      "count-in": "Count-in",
      play: "Play",
      breather: "How was it?",
      asking: "How was it?",
      resting: "Rest",
      judged: "Breathe",
    },
    countInBar: (bar: number, of: number) => (of > 1 ? `Count-in ${bar} of ${of}` : "Count-in"),
    pickup: "Pickup",
    playBar: (bar: number) => `Bar ${bar}`,
    playTurn: (turn: number, of: number) => `Turn ${turn} of ${of}`,
    playBefore: "How was the play before?",
    finishing: "Play to the end. This run isn't counted.",
    slowOne: (partsLeft: number) =>
      partsLeft > 0
        ? `One slow, careful run, then the session ends. ${partsLeft} ${plural(partsLeft, "part is", "parts are")} left out.`
        : "One slow, careful run",
    /** `cycles`: what is counted are cycles of slow and fast plays. */
    gate: (rule: Rule, cycles = false): string => {
      const clean = cycles ? "cycles clean" : "clean";
      switch (rule.kind) {
        case "in-a-row":
          return `${clean} in a row`;
        case "in-all":
          return `${clean} in all`;
        case "of-last":
          return `${clean} of the last ${rule.window}`;
        case "minutes":
          return rule.percent > 0 ? `minutes, ${rule.percent} % of them clean` : "minutes";
        case "easy":
          return "feels easy";
        case "timing":
          return `even within ${rule.within} ms: tap along`;
        case "played":
          return rule.plays === 1 ? "play, whatever comes of it" : "plays, whatever comes of them";
        case "clock-plays":
          return "runs, then it moves on by itself";
        case "clock-minutes":
          return "minutes, then it moves on by itself";
      }
    },
    count: (count: number, needed: number, kind?: RuleKind) => {
      const whole =
        kind === "minutes" || kind === "clock-minutes" ? Math.floor(count * 10) / 10 : count;
      return kind === "easy" || kind === "timing"
        ? count
          ? "yes:"
          : "not yet:"
        : `${whole} of ${needed}`;
    },
    easy: "It feels easy",
    tapAlong: "Tap along",
    context: "In context: once clean, then it counts",
    pace: {
      steady: "",
      slow: "slow",
      fast: "fast",
    } as Readonly<Record<Pace, string>>,
    paceNow: (pace: string, tempo: number) => `${pace}, ${tempo} bpm`,
    paceNext: (pace: string) => `next: ${pace}`,
    inner: "Count within",
    cycle: (slow: number, base: number, fast: number, tempo: number) =>
      `${slow} slow at ${base}, then ${fast} fast at ${tempo}`,
    cycleHidden: (slow: number, fast: number) => `${slow} slow, then ${fast} fast`,
    paceOf: (pace: string, number: number, of: number) =>
      of > 1 ? `${pace} ${number} of ${of}` : pace,
    left: {
      title: "Left for today.",
      sub: "Enough of it for now. It starts lower next time.",
    },
    tapTempo: "Tap",
    tap: {
      title: "Find my comfortable tempo",
      how: "Play it, or think it, relaxed: a tempo you could keep up for a minute or two without tension. Tap its beat 8 to 16 times, on the field or on any letter key.",
      here: "Tap here",
      count: (taps: number, enough: number) =>
        taps < enough ? `${taps} of ${enough} taps` : `${taps} taps`,
      steady: "Very steady.",
      fairly: "Fairly steady.",
      unsteady: "Not steady yet: take it a little slower, and breathe.",
      spread: (ms: string) => `The taps lie within about ${ms} ms.`,
      missed: (count: number) =>
        count === 0 ? "" : count === 1 ? "One was left out." : `${count} were left out.`,
      anew: "Begin anew",
      take: (bpm: string | undefined) => (bpm ? `Start at ${bpm} bpm` : "Start at this"),
    },
    onBeat: "On beat",
    where: "Where? Tap a bar. What?",
    narrowedTo: (bars: string) => `Only ${bars} for now, then the whole passage again`,
    resting: (seconds: number) =>
      `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`,
    endRest: "Go on now →",
    offer: {
      title: (times: number) => `${times} flawed at this tempo. Another way?`,
      lower: (tempo: number | undefined) =>
        tempo === undefined ? "A rung lower ←" : `Lower: ${tempo} bpm ←`,
      smaller: (bars: string, enough: boolean) =>
        enough ? `Smaller: ${bars}` : `Smaller: ${bars}, where most of it fell so far`,
      firm: "Make it firm: many a little below, then at it",
      tense: "Tension, twice on this rung.",
      tenseCare:
        "A cramp or a grip means too fast: one rung lower, or a rest. Pain, numbness or tingling: stop.",
      hurts: "It hurts: stop",
      rest: "Rest a minute",
      leave: "Enough. Remember this place",
      same: "Go on as it is →",
    },
    /** Advice between two plays. */
    advice: {
      title: {
        break: "Half an hour without a break.",
        "near-limit": "Much of it near the limit.",
        "one-clean": "Once right after many.",
      } satisfies Record<Between["kind"], string>,
      told: (found: Between, hidden: boolean) => {
        switch (found.kind) {
          case "break":
            return `${Math.round(found.minutes)} min of playing: five minutes off keep hands and ears fresh.`;
          case "near-limit":
            return `${found.near} of ${found.plays} plays lay near where it breaks. Most belongs well below.`;
          case "one-clean":
            return `${hidden ? "There" : `At ${found.tempo} bpm`} one of ${found.plays} plays was clean. Once more, until it is no chance?`;
        }
      },
      rest: "Five minutes' break ←",
    },
    top: {
      title: "The target is reached.",
      firm: "Made firm.",
      today: "Today's part of the ladder is done.",
      span: "You've played every tempo of the span.",
      clock: "You've played every tempo.",
      clockSub: "By the clock: no run was marked, so nothing counts as passed.",
      sub: (bpm: number) => `The gate passed at ${bpm} bpm.`,
      next: (title: string) => `Next: ${title} →`,
      again: "Once more at the target",
      endWell: "One slow, careful run →",
      finish: "Finish",
    },
    sending: {
      sent: "All kept",
      sending: "Keeping …",
      kept: "Kept on this device until the connection is back",
      "signed-out": "Kept on this device until you sign in again",
    },
    signIn: "Sign in",
    try: "Just try",
    tryEnd: "Count again",
    trying: {
      title: "Just trying. Nothing counts.",
      from: "From bar",
      to: "to",
    },
    /** Where the browser refuses to keep anything. */
    notKept: {
      sent: "This device keeps nothing; all has arrived",
      sending: "This device keeps nothing: leave this page open",
      kept: "Not kept and not sent: leave this page open until the connection is back",
      "signed-out": "Not kept and not sent: sign in in another window, and leave this one open",
    },
    elsewhere: "This session is open in another window.",
    useHere: "Go on here",
    gone: "Going on in another window.",
    noteTitle: "A note for the log",
    noteLabel: "One line",
    openingTitle: "From the lesson",
    openingBegin: "Go to the stand",
    askIt: "Ask it at the lesson",
    goalReached: "This week's goal is reached. Go on if you like.",
    inKey: (key: string) => `in ${key}`,
    easyAgain: "Easy and slow today: something hurt last time. Stop at once if it comes back.",
    noteSave: "Keep it",
    painTitle: "Stopped.",
    painLead: "Put the instrument down. What was played is kept.",
    painDone: "To the summary",
    slip: "That was a slip. Carry on.",
    ended: "The session is ended. What was played is kept.",
    endedKept:
      "What was played is kept on this device and goes to the desk when the connection is back.",
    toAfterwards: "What moved",
    helpTitle: "Keys and pedals",
    keys: [
      ["→  PageDown", "clean; where the stand asks: go on"],
      [
        "←  PageUp",
        "flawed; while playing: stop here; where another way is offered: lower, or rest",
      ],
      ["Space", "start, pause; where the stand asks: go on"],
      ["U  Backspace", "undo"],
      ["↑  ↓", "a little faster, a little slower; among offers: choose, Enter takes it"],
      ["F1 … F4", "an offer by its place"],
      ["1 … 9  0", "after a flawed play: in which bar of the passage; above nine bars two digits"],
      ["Shift with N R O X M C", "what it was: notes, rhythm, tone, tension, memory, coordination"],
      ["G", "it feels easy, where the gate asks for it"],
      [".", "tap along, where the gate asks for it"],
      ["M", "tap a tempo"],
      ["R", "repeat: the rung again, its count from zero"],
      ["S", "skip to the next rung"],
      ["J", "just try: runs don't count, until J again"],
      ["T", "rest"],
      ["C", "count-in and breather"],
      ["N", "note"],
      ["V  Home", "from memory: show the notes for this play; Home is a pedal’s third key"],
      ["E", "end well: one slow play, then finish"],
      ["H  Escape held", "it hurts: stop"],
      ["a", "record the next play"],
      ["?", "these keys"],
    ] as readonly (readonly [string, string])[],
    letters: "Single letters are keys; without them digits, arrows, the pedal and Escape still are",
    cleanToday: (clean: number, plays: number) => `${clean} of ${plays} clean today`,
    showCleanToday: "Show how many were clean today",
    hideCleanToday: "Hide how many were clean today",
    slowEnd: {
      title: "The last run was flawed.",
      sub: "Your hands remember what you play last. Play it once more, slowly and correctly?",
      slow: "One slow, careful run",
      leave: "Finish here",
    },
    pedals:
      "A page-turn pedal works as it is: forward is clean and go on, back is flawed. A whole session can be played with it alone.",
    close: "Close",
    plays: (count: number) => `${count} ${plural(count, "play", "plays")}`,
  },
  sound: {
    title: "Sound",
    click: "Click",
    voice: "Sound of the click",
    voices: {
      wood: "Wood",
      drum: "Drum",
      tick: "Tick",
      bell: "Bell",
      pulse: "Soft pulse",
      thud: "Low thud",
    } satisfies Record<ClickSound, string>,
    accents: "First beat",
    accent: {
      lighter: "a little louder than the others",
      usual: "louder than the others",
      louder: "much louder than the others",
    } satisfies Record<Accents, string>,
    loudness: "Volume",
    hear: "Hear one bar",
    onDevice: "Your choice is saved for you on this device and used at the stand.",
    microphone: "Microphone",
    testMicrophone: "Test the microphone",
    microphoneHow: "Press, then play or clap for four seconds.",
    heard: {
      well: "Heard well. Recording will work.",
      quiet: "Heard, but very quietly. Move closer, or turn the microphone up.",
      clipped: "Too loud. Move away a little, or turn the microphone down.",
      nothing: "Nothing heard. Check which microphone your device uses, and try again.",
      refused: "Your browser doesn't allow the microphone here. Allow it, and try again.",
      none: "No microphone found. Plug one in, and try again.",
      busy: "Another program uses the microphone. Close it, and try again.",
    },
    pedal: "Pedal",
    pedalHow: "Press your pedal, or an arrow key.",
    noPedal: "Nothing pressed yet.",
    pedals: {
      forward: "Forward: clean, or go on.",
      back: "Back: flawed, or go lower.",
      third: "Third pedal: show the notes.",
    },
    measure: "Measure the click",
    lead: "Fidus plays its click and listens to itself inside the browser, sample by sample.",
    start: "Check the click",
    running: "Listening …",
    tempo: "Tempo",
    then: "Then, at a bar line",
    subdivision: "Clicks per beat",
    seconds: "Seconds",
    result: (clicks: number, worst: string, mean: string) =>
      `${clicks} clicks. Furthest from its place: ${worst} of a sample; on average ${mean}.`,
    missed: (missed: number, extra: number) => `Missing: ${missed}. Too many: ${extra}.`,
    rate: (rate: string, microseconds: string) =>
      `A sample at ${rate} Hz lasts ${microseconds} µs. Nobody hears a shift of less than about two hundred of them.`,
    how: "How",
    volume: "Set the volume so that you hear the click through your playing, and no louder.",
    live: "As played here",
    offline: "Computed ahead",
  },
} as const;
