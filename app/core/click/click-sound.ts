import * as v from "valibot";

/** What the click may sound like, in the order of the menu. */
export const CLICK_SOUNDS = ["wood", "drum", "tick", "bell", "pulse", "thud"] as const;
export type ClickSound = (typeof CLICK_SOUNDS)[number];

/** How the first beat of a bar stands out from the others. */
export const ACCENTS = ["lighter", "usual", "louder"] as const;
export type Accents = (typeof ACCENTS)[number];

/** How a player wants to hear the click. */
export const clickVoiceSchema = v.object({
  sound: v.fallback(v.picklist(CLICK_SOUNDS), "wood"),
  accents: v.fallback(v.picklist(ACCENTS), "usual"),
});
export type ClickVoice = v.InferOutput<typeof clickVoiceSchema>;

export const USUAL_VOICE: ClickVoice = { sound: "wood", accents: "usual" };
