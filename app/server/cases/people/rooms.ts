import type { Day } from "~/core/units";
import { allStudios, roomIsEmpty, setStudioConcert, studioById, type Who } from "~/db/queries";
import { todayIn, type Services } from "../../services";

/** Whether anyone has opened a room on this server. */
export const anyRoom = async ({ db }: Services) => (await allStudios(db)).length > 0;

/** What the desk's header needs to know: the room, who is here, and whose pages they begin with. */
export async function deskOf({ db }: Services, who: Who) {
  const room = await studioById(db, who.studioId);
  const child = who.role === "parent" ? who.looksOn[0] : undefined;
  return {
    room: { id: room.id, name: room.name },
    timeZone: room.time_zone,
    name: who.name,
    teaches: who.role === "teacher",
    /** Whose practice is "mine" here. */
    mine: who.plays ? who.personId : child,
    looksOnly: who.role === "parent",
  };
}

/** A room by its id. */
export const roomOf = ({ db }: Services, studioId: string) => studioById(db, studioId);

/** Whether a room can be filled from a file. */
export const isEmptyRoom = ({ db }: Services, studioId: string) => roomIsEmpty(db, studioId);

/** The day that everything is prepared for. */
export const setConcert = (
  { db }: Services,
  studioId: string,
  concert: { name: string; day: Day },
) => setStudioConcert(db, studioId, concert.name, concert.day);

/** Today, where the room is. */
export const roomToday = async (services: Services, studioId: string): Promise<Day> =>
  todayIn(services, await studioById(services.db, studioId));
