import { TUNE, type DemoStudent } from "../scenario";

export const petra: DemoStudent = {
  name: "Petra Haldane",
  instrument: "accordion",
  days: [0.3, 0.5, 0.4, 0.6, 0.4, 0.3, 0.6],
  sinceWeek: 10,
  silentDays: 8,
  notes: ["Bellows turn in the middle of the bar.", "Only ten minutes tonight."],
  pieces: [
    {
      title: "Barge Waltz",
      origin: TUNE,
      kind: "piece",
      bars: 32,
      metre: "3/4",
      pickupBeats: 2,
      markBpm: 54,
      markUnit: "dotted-half",
      passages: [
        {
          fromBar: 9,
          toBar: 16,
          focus: "bellows turn on the bar line",
          sinceWeek: 9,
          ladder: {
            schools: [{ name: "joining", numbers: { size: 2, step: 3 } }],
            start: 28,
            target: 54,
            clean: 3,
            rule: "comfortable",
            minutes: 10,
          },
          learner: { ability: 34, plateau: 58, learning: 0.0026, forgetting: 0.03 },
          weakBars: [12, 13],
        },
      ],
    },
    {
      title: "Limping Heron",
      origin: TUNE,
      kind: "piece",
      bars: 20,
      metre: "2+2+3/8",
      markBpm: 210,
      markUnit: "eighth",
      passages: [
        {
          fromBar: 1,
          toBar: 4,
          focus: "the long beat is last",
          sinceWeek: 5,
          ladder: {
            schools: [{ name: "woven-chain", numbers: { step: 15 } }],
            start: 105,
            target: 165,
            clean: 3,
            rule: "ended-less",
            minutes: 10,
          },
          learner: { ability: 138, plateau: 220, learning: 0.003 },
          weakBars: [4],
        },
      ],
    },
  ],
};
