import * as v from "valibot";
import type { ClickProgramme } from "~/core/click";
import { items, listSchema, oneOf, presets } from "../list-schema";
import { ownGate } from "../own-gate";
import type { School } from "../school";

const always = { kind: "never" } as const;

/** What is left of the click, by name. */
const WITHDRAWALS = {
  subdivided: { pattern: { kind: "beats", subdivision: 2 }, silence: always },
  beats: { pattern: { kind: "beats", subdivision: 1 }, silence: always },
  "off-beats": { pattern: { kind: "off-beats" }, silence: always },
  "every-two-beats": { pattern: { kind: "every-beats", beats: 2 }, silence: always },
  "one-a-bar": { pattern: { kind: "every-bars", bars: 1 }, silence: always },
  "one-per-two-bars": { pattern: { kind: "every-bars", bars: 2 }, silence: always },
  "silent-bars": {
    pattern: { kind: "beats", subdivision: 1 },
    silence: { kind: "random", percent: 40, seed: 1 },
  },
  none: { pattern: { kind: "none" }, silence: always },
} as const satisfies Record<string, Pick<ClickProgramme, "pattern" | "silence">>;
type Withdrawal = keyof typeof WITHDRAWALS;
const WITHDRAWAL_NAMES = Object.keys(WITHDRAWALS) as [Withdrawal, ...Withdrawal[]];

const numbers = v.object({
  clicks: listSchema("List at least one click to play with.", oneOf(WITHDRAWAL_NAMES)),
});

const USUAL = items(
  "subdivided",
  "beats",
  "off-beats",
  "one-a-bar",
  "one-per-two-bars",
  "silent-bars",
  "none",
);

/** Withdrawing the click: the same tempo with ever less help (craft, 5.14). */
export const withdraw: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    {
      kind: "list",
      key: "clicks",
      options: WITHDRAWAL_NAMES,
      initial: USUAL,
      presets: presets(USUAL, {
        voice: items("beats", "every-two-beats", "one-a-bar", "silent-bars", "none"),
        bowed: items("subdivided", "beats", "one-a-bar", "one-per-two-bars", "silent-bars", "none"),
        percussion: items("beats", "off-beats", "one-a-bar", "one-per-two-bars", "none"),
      }),
    },
  ],
  tempo: "stays",
  *steps({ clicks }, { target }) {
    for (const [stage, { name, clean }] of clicks.entries()) {
      const { pattern, silence } = WITHDRAWALS[name];
      yield {
        tempo: target,
        stage,
        task: { kind: "click", name, full: true },
        click: { pattern, silence },
        ...ownGate(clean),
      };
    }
  },
};
