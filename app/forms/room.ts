import * as v from "valibot";
import { isTimeZone } from "~/core/units";
import { nameSchema, newPasswordSchema, shortText, signInNameSchema } from "./names";
import { typedForm } from "./typed";

const newRoomSchema = v.pipe(
  v.object({
    room: shortText,
    teacher: nameSchema("your name"),
    /** Someone teaching themself: no student but the teacher. */
    self: v.pipe(
      v.optional(v.string(), ""),
      v.transform((value) => value === "on"),
    ),
    name: shortText,
    instrument: shortText,
    signIn: signInNameSchema,
    password: newPasswordSchema,
    timeZone: v.fallback(v.pipe(v.string(), v.check(isTimeZone)), "UTC"),
  }),
  v.forward(
    v.partialCheck(
      [["self"], ["room"]],
      ({ self, room }) => self || room.length > 0,
      "Give the room a name.",
    ),
    ["room"],
  ),
  // Whoever teaches themself has a room all the same, by their own name.
  v.transform((read) => ({ ...read, room: read.room || read.teacher })),
);

export const roomFormSchema = typedForm(newRoomSchema);
