import { TUNE, type DemoStudent } from "../scenario";

export const yusuf: DemoStudent = {
  name: "Yusuf Arden",
  instrument: "mandolin",
  days: [0.8, 0.9, 0.9, 0.9, 0.9, 0.8, 0.9],
  sinceWeek: 10,
  painDaysAgo: 2,
  notes: [
    "Pick hand tight after twenty minutes.",
    "Wrist sore by the end.",
    "Looser from the elbow.",
  ],
  lessonIn: 1,
  minutes: [60, 60, 60, 60, 60, 90, 60],
  word: "Short and soft this week.",
  pieces: [
    {
      title: "Chandlery Reel",
      notes: "chandlery-reel.abc",
      origin: TUNE,
      kind: "piece",
      bars: 16,
      metre: "2/2",
      pickupBeats: 0,
      markBpm: 104,
      markUnit: "half",
      passages: [
        {
          fromBar: 5,
          toBar: 8,
          focus: "tremolo from the elbow",
          sinceWeek: 10,
          ladder: {
            schools: [{ name: "percent-steps" }],
            start: 50,
            target: 104,
            clean: 5,
            rule: "ended-less",
            minutes: 15,
            hidden: true,
          },
          learner: { ability: 64, plateau: 108, learning: 0.003, fatigue: 0.002 },
          weakBars: [7],
        },
        {
          fromBar: 13,
          toBar: 16,
          sinceWeek: 6,
          ladder: {
            schools: [{ name: "burst", numbers: { step: 4, ratio: 1.5 } }],
            start: 56,
            target: 100,
            clean: 4,
            rule: "comfortable",
            minutes: 12,
          },
          learner: { ability: 62, plateau: 98, learning: 0.003, fatigue: 0.0015 },
          weakBars: [14],
        },
      ],
    },
  ],
};
