import { TUNE, type DemoStudent } from "../scenario";

export const tobi: DemoStudent = {
  name: "Tobi Wren",
  instrument: "treble recorder",
  days: [0.5, 0.9, 0.5, 0.5, 0.5, 0.5, 0.5],
  sinceWeek: 0.4,
  notes: [],
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
          sinceWeek: 0.4,
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
      ],
    },
  ],
};
