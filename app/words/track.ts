import { count } from "./counts";

const clock = (seconds: number): string => {
  const whole = Math.round(seconds);
  const minutes = Math.floor(whole / 60);
  const rest = String(whole % 60).padStart(2, "0");
  return minutes === 0 ? `${whole} s` : `${minutes} min ${rest} s`;
};

/** What is said where a practice track is made. */
export const trackWords = {
  title: "Practice track",
  open: "Practice track",
  lead: "The ladder of today as sound, without a screen: each rung counted in, a cue where the tempo changes, and so many plays of each, since nobody judges.",
  plays: "Plays of each rung",
  pauses: "with the breather between plays",
  fit: "Fit it into",
  fitNow: "Fit",
  minutes: "min",
  told: (rungs: number, plays: number, seconds: number, size: string) =>
    `${count(rungs, "rung")}, ${count(plays, "play")} of each: ${clock(seconds)}, ${size}.`,
  small: "a few kB",
  megabytes: (count: string) => `about ${count} MB`,
  tooLong: (seconds: number) =>
    `This would last ${clock(seconds)}; 80 minutes are the most. Fewer plays, or a shorter ladder.`,
  make: "Make the track",
  cancel: "Stop making it",
  making: (percent: number) => `${percent} % made`,
  ready: "The track",
  download: "Save the file",
  file: (title: string, tempi: string, ending: string) =>
    `${[title, tempi].filter(Boolean).join(", ")}.${ending}`,
  session: "Today's practice",
  asTrack: "As a practice track",
  leadSession: (pieces: readonly string[]) =>
    `One ladder after the other, with a quarter of a minute to turn the page: ${[...new Set(pieces)].join(", ")}.`,
  withNotes: "with its notes in a plain tone",
  announced: "the number of each rung in beeps: low for fives, high for ones",
  word: (title: string) => `Said before ${title}`,
  noWord: "nothing",
  wordStates: {
    coming: "Fetching what is said …",
    "too-long": "That recording is longer than five minutes: it is left out.",
    broken: "That recording can't be read here: it is left out.",
  },
  format: "File",
  formats: {
    mp3: "MP3, small",
    "wav-16": "WAV, 16 bit",
    "wav-24": "WAV, 24 bit",
    midi: "MIDI, with its tempi",
  },
  counted: "Minutes that it is heard here count as listening along, without plays.",
  listened: (title: string) => `Listened along: ${title}`,
  hurts:
    "Last time something hurt. Nothing is practised along with until you say on Today that nothing hurts any more.",
  none: "This passage has no ladder yet.",
  care: "Not louder than you would play; rest your ears as well as your hands.",
} as const;
