import { ofPassage } from "../rule";

/** The bars that were taken out stand by themselves: back into the whole (craft, 6). */
export const partStands = ofPassage(({ ladder, partAtTarget }) =>
  ladder.part && partAtTarget > 0
    ? { saw: { ...ladder.part, target: ladder.target }, changes: [{ kind: "whole" }] }
    : undefined,
);
