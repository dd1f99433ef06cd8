import { valibotResolver } from "@hookform/resolvers/valibot";
import type { Control } from "react-hook-form";
import type { GenericSchema } from "valibot";
import { timesSchema, type WeekTimes } from "~/core/week";

// The page always has all of it; a sender may leave out dates and limits.
export const timesResolver = valibotResolver(timesSchema as GenericSchema<WeekTimes>);

export type TimesControl = Control<WeekTimes>;
