import type { Rung } from "~/core/ladder";

export const noteValues = {
  whole: "whole notes",
  half: "half notes",
  quarter: "quarters",
  eighth: "eighths",
  triplet: "triplets",
  sixteenth: "sixteenths",
  sextuplet: "sextuplets",
  arpeggio: "arpeggio in sixteenths",
} as Readonly<Record<string, string>>;

export const withdrawals = {
  subdivided: "beats, each divided in two",
  beats: "every beat",
  "off-beats": "only the off-beats",
  "every-two-beats": "every second beat",
  "one-a-bar": "one click a bar",
  "one-per-two-bars": "one click every two bars",
  "silent-bars": "some bars silent",
  none: "no click",
} as Readonly<Record<string, string>>;

const PACE = { slow: "slow", fast: "at tempo" } as Readonly<Record<string, string>>;

const links = ({ from, to, of }: NonNullable<Rung["links"]>) =>
  from === to
    ? `link ${from} of ${of}`
    : to - from + 1 === of
      ? `all ${of} links`
      : `links ${from}–${to} of ${of}`;

const NUMBERS = ["", "one", "two", "three", "four", "five", "six", "seven", "eight"];

/** A click that is divided as the ladder's own is: "divided-3". */
const dividedIn = (name: string): string =>
  `beats, each divided in ${NUMBERS[Number(name.replace("divided-", ""))] ?? name}`;

/** A task in the words of its kind. */
const taskTold = ({ kind, name }: NonNullable<Rung["task"]>): string => {
  switch (kind) {
    case "layer":
    case "key":
      return name;
    case "note-value":
      return noteValues[name] ?? name;
    case "click":
      return withdrawals[name] ?? dividedIn(name);
    case "pace":
      return PACE[name] ?? name;
  }
};

/** What is played on a rung, at the desk and at the stand. */
export const rung = { task: taskTold, links, and: "and" } as const;
