/** How sure estimates are, in plain words. */
export const howSureWords = {
  title: "How sure is this?",
  lead: "What Fidus believes of a passage, where it comes from, and what it can't know.",
  parts: [
    {
      title: "Comfortable tempo and ceiling",
      points: [
        "Comfortable is the highest tempo at which a clean play is nearly certain: nine in ten. The ceiling is where every other play breaks.",
        "Both come from one level that moves: up with days of practice, by as much as this player has gained so far, and a little down with days off.",
        "Every judged play counts as what it was: a part of the bars is easier than all of them, a burst is clean only when all of its plays are. Plays of a layer, or with less of a click, are left out.",
        "No tempo is called comfortable above the fastest one that was passed and the step after it. Where nothing near the ceiling was tried, there is none to tell.",
      ],
    },
    {
      title: "Spans",
      points: [
        "A span is meant to hold the truth four times in five. So one time in five it does not.",
        "Ten plays give a wide span, a hundred over some days a narrow one. After weeks off it widens again.",
        "Good and bad days differ by a few percent; that is in it. A verdict that is too kind or too hard is not: the estimate believes what was said.",
      ],
    },
    {
      title: "Whether a date holds",
      points: [
        "The chance is that a clean play at the target is nearly certain on that day, if it is practised on as many days as are planned. Illness, a broken string and stage fright are not in it.",
        "It is told in words, because nobody knows it to the percent. Among many that were called about two in three, about two in three came about, for learners that were simulated; no person was measured.",
        "All passages together are less likely than the weakest of them. Days that are missed are missed for all.",
        "Ten minutes more are taken to teach in proportion. That is a guess, and the more there is already, the kinder it is.",
      ],
    },
    {
      title: "Advice",
      points: [
        "Each piece of advice says what it saw and why it matters. It never acts by itself, and what was pressed can be taken back.",
        "It knows the plays, not the player. A teacher who sees the hands knows more; every rule can be switched off.",
        "After a stop for pain there is no advice but to ask a person.",
      ],
    },
  ],
} as const;
