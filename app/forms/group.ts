import * as v from "valibot";
import { BRINGS, GROUP_KINDS, ITEM_KINDS, itemSchema } from "~/core/week";
import { nameSchema, shortText } from "./names";
import { typedForm } from "./typed";

/** A group by its name and kind. */
export const groupFormSchema = typedForm(
  v.object({
    name: v.pipe(nameSchema("the group a name"), v.maxLength(80, "Keep it under 80 characters.")),
    kind: v.picklist(GROUP_KINDS, "Choose what kind of group it is."),
  }),
);

const optionalId = v.pipe(
  v.optional(v.string(), ""),
  v.transform((value) => (value === "" ? null : value)),
  v.nullable(v.pipe(v.string(), v.uuid("It can't be read."))),
);
/** A number that may be left empty. */
const optionalNumber = (schema: v.GenericSchema<number, number>) =>
  v.pipe(
    v.optional(v.string(), ""),
    v.transform((value) => (value.trim() === "" ? null : Number(value))),
    v.nullable(schema),
  );

const wholeBar = v.pipe(
  v.number("A bar is a number."),
  v.integer("Whole bars."),
  v.minValue(1, "Bars begin at 1."),
);

/** What is set for a group, as its form tells it. */
export const groupItemFormSchema = typedForm(
  v.pipe(
    v.object({
      id: v.pipe(v.string(), v.uuid()),
      kind: v.picklist(ITEM_KINDS, "Choose what it is."),
      title: nameSchema("it a name"),
      focus: shortText,
      times: v.pipe(
        v.number("A number of days."),
        v.integer("Whole days."),
        v.minValue(1, "At least once a week."),
        v.maxValue(7, "At most seven times a week."),
      ),
      minutes: itemSchema.entries.minutes,
      note: itemSchema.entries.note,
      bring: v.picklist(BRINGS, "Choose what is brought."),
      until: v.pipe(v.string(), v.isoDate("Choose a day.")),
      pieceId: optionalId,
      fromBar: optionalNumber(wholeBar),
      toBar: optionalNumber(wholeBar),
      target: optionalNumber(
        v.pipe(
          v.number("A tempo is a number."),
          v.minValue(10, "Tempi go from 10 to 400 bpm."),
          v.maxValue(400, "Tempi go from 10 to 400 bpm."),
        ),
      ),
      keptLadderId: optionalId,
      recordRun: optionalNumber(itemSchema.entries.recordRun.wrapped.wrapped),
    }),
    v.forward(
      v.partialCheck(
        [["pieceId"], ["fromBar"]],
        ({ pieceId, fromBar }) => pieceId === null || fromBar !== null,
        "Say from which bar.",
      ),
      ["fromBar"],
    ),
    v.forward(
      v.partialCheck(
        [["pieceId"], ["fromBar"], ["toBar"]],
        ({ pieceId, fromBar, toBar }) =>
          pieceId === null || (toBar !== null && toBar >= (fromBar ?? 0)),
        "Say to which bar, no earlier than the first.",
      ),
      ["toBar"],
    ),
    v.forward(
      v.partialCheck(
        [["pieceId"], ["target"]],
        ({ pieceId, target }) => pieceId === null || target !== null,
        "Say up to which tempo.",
      ),
      ["target"],
    ),
    v.transform(({ id, until, times, pieceId, fromBar, toBar, target, keptLadderId, ...told }) => ({
      id,
      until,
      asked: {
        ...told,
        often: times === 7 ? { kind: "daily" as const } : { kind: "times" as const, times },
        music:
          pieceId === null
            ? null
            : { pieceId, fromBar: fromBar!, toBar: toBar!, target: target!, keptLadderId },
      },
    })),
  ),
  ["times", "minutes"],
);
