import { TUNE, type DemoStudent } from "../scenario";

export const tobi: DemoStudent = {
  name: "Tobi Wren",
  instrument: "treble recorder",
  days: [0.5, 0.9, 0.5, 0.5, 0.5, 0.5, 0.5],
  sinceWeek: 0.43,
  notes: [],
  lately: [2, 1].map((daysAgo) => ({
    daysAgo,
    parts: [
      // One clean play of five, and on it goes.
      { title: "Two Ducks", fromBar: 3, minutes: 3, verdicts: "ffffc" },
      { title: "Two Ducks", fromBar: 5, minutes: 4, verdicts: "c" },
      { title: "Two Ducks", fromBar: 7, minutes: 2, verdicts: "c" },
    ],
  })),
  lessonIn: 4,
  minutes: [15, 15, 15, 15, 15, 20, 20],
  word: "Clap first, then say the names, then play.",
  parent: "Hanne Wren",
  pieces: [
    {
      title: "Two Ducks",
      notes: "two-ducks.abc",
      origin: TUNE,
      kind: "piece",
      bars: 8,
      metre: "4/4",
      markBpm: 84,
      markUnit: "quarter",
      passages: [
        {
          fromBar: 1,
          toBar: 2,
          focus: "soft tongue",
          sinceWeek: 0.43,
          ladder: {
            schools: [
              {
                name: "layers",
                numbers: {
                  layers: [
                    { name: "count and clap", clean: 5 },
                    { name: "say the note names", clean: 5 },
                    { name: "finger with air only", clean: 6 },
                    { name: "play plain", clean: 0 },
                  ],
                },
              },
            ],
            start: 48,
            target: 60,
            clean: 3,
            rule: "comfortable",
            minutes: 5,
          },
          learner: { ability: 58, plateau: 100, learning: 0.004 },
        },
        {
          fromBar: 3,
          toBar: 4,
          focus: "both ducks alike",
          sinceWeek: 0.43,
          ladder: {
            schools: [{ name: "even-steps", numbers: { step: 6 } }],
            start: 48,
            target: 84,
            once: true,
            rule: "ended-less",
            minutes: 3,
          },
        },
        {
          fromBar: 5,
          toBar: 6,
          focus: "small breath after the long note",
          sinceWeek: 0.43,
          ladder: {
            schools: [{ name: "even-steps", numbers: { step: 2 } }],
            start: 48,
            target: 84,
            rule: "ended-less",
            minutes: 4,
          },
        },
        {
          fromBar: 7,
          toBar: 8,
          focus: "the last duck is no faster",
          sinceWeek: 0.43,
          ladder: {
            schools: [{ name: "even-steps", numbers: { step: 6 } }],
            start: 54,
            target: 60,
            part: { fromBar: 8, toBar: 8 },
            rule: "ended",
            minutes: 2,
          },
        },
      ],
    },
  ],
};
