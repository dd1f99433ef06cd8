import { minutes as inMinutes } from "./counts";
import type { GroupKind } from "~/core/week";

const players = (count: number) => (count === 1 ? "1 player" : `${count} players`);

/** Classes, ensembles and sections; only their pages say it. */
export const groupWords = {
  title: "Groups",
  lead: "A class, an ensemble, a section: what is set for it comes into each one's own week.",
  week: "Week",
  none: "No group yet. Give one a name and tick who belongs to it.",
  kinds: {
    class: "class",
    ensemble: "ensemble",
    section: "section",
  } satisfies Record<GroupKind, string>,
  told: (kind: GroupKind, count: number) => `${groupWords.kinds[kind]}, ${players(count)}`,
  add: "A new group",
  make: "Make the group",
  save: "Keep it so",
  name: "Name",
  kind: "What it is",
  members: "Who belongs to it",
  membersOf: (name: string) => `Who belongs to ${name}`,
  newcomers: "Whoever comes in gets what the group is set just now.",
  remove: "Take the group away",
  removing: "What it was set stays in the weeks of its players.",
  board: {
    lead: (practised: number, of: number, from: string) =>
      `${practised} of ${players(of)} practised since ${from}.`,
    handed: (count: number, of: number, late: number) =>
      `${count} of ${of} takes handed in${late > 0 ? `, ${late} late` : ""}.`,
    rehearsal: "Before rehearsal",
    report: "Report",
    set: "Set something",
    empty: "Nobody belongs to it yet.",
    nothingSet: "Nothing is set for the group just now.",
    who: "Player",
    days: "Days",
    minutes: "Minutes",
    dayTold: (day: string, minutes: number) => `${day} ${inMinutes(minutes)}`,
    total: (minutes: number, days: number) => `${inMinutes(minutes)}, ${days} d`,
    hurt: "pain",
    tooMuch: (asked: number, there: number) => `the week asks ${asked} min, there are ${there}`,
    state: {
      "left-out": "left out",
      open: "not yet",
      missing: "missing",
      waiting: "to hear",
      heard: "heard",
      again: "again",
      practised: "practised",
      "not-practised": "not yet",
    },
    late: "late",
  },
  item: {
    title: "What is set",
    new: "Set something for the group",
    change: "Change what is set",
    lead: "Each gets a passage and a ladder of their own, from where they are comfortable. A later change reaches those who have theirs as it was given.",
    until: (day: string) => `until ${day}`,
    bars: (piece: string, bars: string, tempo: number) => `${piece}, ${bars}, to ${tempo} bpm`,
    has: (count: number, of: number) => `${count} of ${of} have it`,
    leftOut: {
      "by-you": "left out by you",
      hurt: "stopped for pain and has not said that nothing hurts: ask first",
      full: "their week is full",
    },
    kept: "theirs had been changed: it stays as it is",
    notBrought: "came later: set it once more to bring it",
    edit: "Change",
    takeBack: "Take it back",
    fields: {
      piece: "Piece",
      noPiece: "none: something to do or read",
      fromBar: "From bar",
      toBar: "To bar",
      target: "Up to, bpm",
      ladder: "The way up",
      evenSteps: "even steps",
      name: "What",
      focus: "Listen for",
      times: "Days a week",
      minutes: "Minutes",
      kind: "Kind",
      bring: "Bring",
      until: "Until",
      note: "A note",
      who: "For whom",
    },
    save: (count: number) => `Set it for ${count}`,
    change_: "Change it for them",
  },
  rehearsal: {
    title: "Before rehearsal",
    lead: (players_: number, of: number) =>
      `From the plays of the last four weeks: ${players_} of ${of} have played it.`,
    nothing: "Nobody has played a piece of the group yet.",
    piece: "Piece",
    chart: "Bar by bar: the share of players for whom it fails",
    bar: (bar: number, failing: number, told: number, tempo: string) =>
      `bar ${bar}: fails for ${failing} of ${told}${tempo && `, together to ${tempo}`}`,
    untold: (bar: number) => `bar ${bar}: not played enough to tell`,
    toRehearse: "To rehearse",
    fine: "No bar fails for a quarter of them.",
    fails: (failing: number, told: number, bar: number, single: boolean) =>
      single ? `fails for ${failing} of ${told}` : `bar ${bar} fails for ${failing} of ${told}`,
    together: (value: number, low: number, high: number) =>
      low === high
        ? `nine in ten hold together to ${value}`
        : `nine in ten hold together to ${value} (${low} to ${high})`,
    asMarked: (tempo: number) => `The piece is marked ${tempo}.`,
    how: "A bar fails for a player when one play in ten or more goes wrong in it, of five at least. Flaws told without a bar are taken to fall like those told with one.",
    questions: "Questions brought",
    noQuestions: "None wait.",
    anywhere: "without a bar",
  },
} as const;
