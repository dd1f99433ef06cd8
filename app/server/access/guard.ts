import { data, redirect, type RouterContextProvider } from "react-router";
import { parentsHear, personOfPassage, personOfSession, personOfTake } from "~/db/queries";
import { formOf } from "../body";
import { answering, idsOf, notFound } from "../boundary";
import { servicesOf } from "../context";
import type { Services } from "../services";
import { callerOf } from "./door";
import { may, type Right, type Who } from "./who";

/** What a loader or action is given. */
export interface Asked {
  readonly request: Request;
  readonly params: Readonly<Partial<Record<string, string>>>;
  readonly context: Readonly<RouterContextProvider>;
}

export interface Admitted {
  readonly services: Services;
  readonly who: Who;
  readonly studioId: string;
}

/** A page leads to the sign-in and back; what is sent or fetched by a script is refused. */
function mustSignIn(request: Request): unknown {
  const { pathname, search } = new URL(request.url);
  const isPage = request.method === "GET" && !/\/(events|takes\/[0-9a-f-]+)$/.test(pathname);
  if (isPage) return redirect(`/sign-in?to=${encodeURIComponent(pathname + search)}`);
  return data({ sentence: "Sign in first, then send it again." }, { status: 401 });
}

/** Why a room is shut, on its door. */
const SHUT: Readonly<Record<NonNullable<Who["shut"]>, string>> = {
  filling: "A file is being read into this studio. Come back in a few minutes.",
  uncounted:
    "What was played in this studio can't be counted, so it stays shut. Nothing is lost. Whoever runs this Fidus finds the reason in its log.",
};

async function admitted(asked: Asked): Promise<Admitted> {
  const { studioId } = idsOf(asked.params, "studioId");
  const who = await callerOf(asked.context).who();
  if (!who) throw mustSignIn(asked.request);
  // Whoever belongs to another room is told what somebody is told who asks for what isn't there.
  if (who.studioId !== studioId) throw notFound("There is nothing at this address.");
  if (who.shut) throw data({ sentence: SHUT[who.shut] }, { status: 503 });
  return { services: servicesOf(asked.context), who, studioId };
}

const TEACHERS_PAGE: Record<Who["role"], string> = {
  teacher: "",
  student:
    "This page is your teacher's. Yours are Today's practice, your week and your log; a question can be asked on Today's practice.",
  parent: "This page is the teacher's. You may look on at the week, today's practice and the log.",
};

function insist(who: Who, right: Right, studioId: string, personId: string | undefined): void {
  if (may(who, right, studioId, personId)) return;
  // What one may look at one may be told that one may not change; all else isn't there.
  const mine = personId === undefined || may(who, "see", studioId, personId);
  if (mine && right === "hear") {
    const sentence = "Takes are heard by the student and their teacher.";
    throw data({ sentence }, { status: 403 });
  }
  if (mine && right === "teach") {
    throw data({ sentence: TEACHERS_PAGE[who.role] }, { status: 403 });
  }
  if (mine) throw data({ sentence: "You may look on here, and change nothing." }, { status: 403 });
  throw notFound("There is nothing at this address.");
}

type Work<G, T> = (given: G) => Promise<T>;

/** Anybody of the room. */
export const forMember = <T>(asked: Asked, work: Work<Admitted, T>): Promise<T> =>
  answering(async () => work(await admitted(asked)));

/** The teacher of the room. */
export const forTeacher = <T>(asked: Asked, work: Work<Admitted, T>): Promise<T> =>
  answering(async () => {
    const given = await admitted(asked);
    insist(given.who, "teach", given.studioId, undefined);
    return work(given);
  });

/** Whoever has a right over the student of the address. */
export const forStudent = <T>(
  asked: Asked,
  right: Right,
  work: Work<Admitted & { readonly personId: string }, T>,
): Promise<T> =>
  answering(async () => {
    const given = await admitted(asked);
    const { personId } = idsOf(asked.params, "personId");
    insist(given.who, right, given.studioId, personId);
    return work({ ...given, personId });
  });

/** Whoever has the right over the student of the address that a form asks for. */
export const forStudentForm = <T>(
  asked: Asked,
  rightOf: (form: FormData) => Right,
  work: Work<Admitted & { readonly personId: string; readonly form: FormData }, T>,
): Promise<T> =>
  answering(async () => {
    const given = await admitted(asked);
    const { personId } = idsOf(asked.params, "personId");
    insist(given.who, "see", given.studioId, personId);
    const form = await formOf(asked.request);
    insist(given.who, rightOf(form), given.studioId, personId);
    return work({ ...given, personId, form });
  });

/** Whoever has a right over the student whose passage it is. */
export const forPassage = <T>(
  asked: Asked,
  right: Right,
  work: Work<Admitted & { readonly passageId: string; readonly personId: string }, T>,
): Promise<T> =>
  answering(async () => {
    const given = await admitted(asked);
    const { passageId } = idsOf(asked.params, "passageId");
    const { person_id } = await personOfPassage(given.services.db, given.studioId, passageId);
    insist(given.who, right, given.studioId, person_id);
    return work({ ...given, passageId, personId: person_id });
  });

/**
 * Whoever has a right over the student whose take it is. To listen is less than to hear: parents
 * may, where the student or the teacher lets them.
 */
export const forTake = <T>(
  asked: Asked,
  right: Right | "listen",
  work: Work<Admitted & { readonly takeId: string; readonly personId: string }, T>,
): Promise<T> =>
  answering(async () => {
    const given = await admitted(asked);
    const { takeId } = idsOf(asked.params, "takeId");
    const { services, studioId, who } = given;
    const { person_id } = await personOfTake(services.db, studioId, takeId);
    const isLet =
      right === "listen" &&
      may(who, "see", studioId, person_id) &&
      (await parentsHear(services.db, studioId, person_id));
    if (!isLet) insist(who, right === "listen" ? "hear" : right, studioId, person_id);
    return work({ ...given, takeId, personId: person_id });
  });

/** Whoever has a right over the student whose session it is. */
export const forSession = <T>(
  asked: Asked,
  right: Right,
  work: Work<Admitted & { readonly sessionId: string }, T>,
): Promise<T> =>
  answering(async () => {
    const given = await admitted(asked);
    const { sessionId } = idsOf(asked.params, "sessionId");
    const { person_id } = await personOfSession(given.services.db, given.studioId, sessionId);
    insist(given.who, right, given.studioId, person_id);
    return work({ ...given, sessionId });
  });
