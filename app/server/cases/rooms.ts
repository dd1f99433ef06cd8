import type { Day } from "~/core/units";
import { allStudios, setStudioConcert, studioById } from "~/db/queries";
import type { Services } from "../services";

/** The rooms that this server holds. */
export const rooms = async ({ db }: Services) =>
  (await allStudios(db)).map(({ id, name }) => ({ id, name }));

/** What the desk's header needs to know of a room. */
export const roomOf = ({ db }: Services, studioId: string) => studioById(db, studioId);

/** The day that everything is prepared for. */
export const setConcert = (
  { db }: Services,
  studioId: string,
  concert: { name: string; day: Day },
) => setStudioConcert(db, studioId, concert.name, concert.day);
