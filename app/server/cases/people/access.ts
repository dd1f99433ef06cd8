import QRCode from "qrcode";
import { addHours } from "date-fns";
import * as v from "valibot";
import {
  accessesOf,
  endSignInsOf,
  insertAccess,
  insertPerson,
  letLookOn,
  parentsOf,
  revokeAccess,
  revokeKind,
  studentById,
  type AccessKind,
} from "~/db/queries";
import type { Queries } from "~/db/client";
import { nameSchema } from "~/forms/names";
import { hashOf, newCode, newLinkSecret } from "../../access/secrets";
import type { Services } from "../../services";
import { NO_TIMES } from "./open-room";

/** What is open to a student and to those who look on. */
export async function accessPage({ db, now }: Services, studioId: string, personId: string) {
  const at = new Date(now());
  const [person, accesses, parents] = await Promise.all([
    studentById(db, studioId, personId),
    accessesOf(db, studioId, personId, at),
    parentsOf(db, studioId, personId),
  ]);
  return { person: { id: person.id, name: person.name }, accesses, parents };
}

export const accessActSchema = v.variant("act", [
  v.object({ act: v.literal("link") }),
  v.object({ act: v.literal("code") }),
  v.object({ act: v.literal("calendar") }),
  v.object({ act: v.literal("revoke"), id: v.pipe(v.string(), v.uuid()) }),
  v.object({ act: v.literal("everywhere") }),
  v.object({ act: v.literal("parent"), name: nameSchema("the parent's name") }),
  v.object({ act: v.literal("parent-link"), id: v.pipe(v.string(), v.uuid()) }),
]);
export type AccessAct = v.InferOutput<typeof accessActSchema>;

/** A secret just made: shown once, kept only as its hash. */
export interface Shown {
  readonly kind: AccessKind;
  readonly name: string;
  /** The code, or the path of the address. */
  readonly secret: string;
}

/** Makes one thing to come in with; shown once, kept only as its hash. */
export async function issue(
  { now, newId }: Services,
  tx: Queries,
  studioId: string,
  person: { readonly id: string; readonly name: string },
  kind: AccessKind,
  codeDays = 1,
): Promise<Shown> {
  const at = new Date(now());
  const secret = kind === "code" ? newCode() : newLinkSecret();
  const old = (await accessesOf(tx, studioId, person.id, at)).filter((each) => each.kind === kind);
  // One of each kind: a new one ends the old one, and whatever was opened with it.
  for (const { id } of old) await revokeAccess(tx, studioId, id, at);
  await insertAccess(tx, studioId, {
    id: newId(),
    personId: person.id,
    kind,
    secretHash: hashOf(secret),
    at,
    expiresAt: kind === "code" ? addHours(now(), 24 * codeDays) : undefined,
  });
  const path = { link: `/in/${secret}`, calendar: `/calendar/${secret}.ics`, code: secret }[kind];
  return { kind, name: person.name, secret: path };
}

/** Gives out, takes back, or lets somebody look on. */
export async function actOnAccess(
  services: Services,
  studioId: string,
  personId: string,
  act: AccessAct,
): Promise<Shown | "done"> {
  const { db, now, newId } = services;
  return db.transaction(async (tx) => {
    const person = await studentById(tx, studioId, personId);
    switch (act.act) {
      case "link":
      case "code":
      case "calendar":
        return issue(services, tx, studioId, person, act.act);
      case "revoke":
        await revokeAccess(tx, studioId, act.id, new Date(now()));
        return "done";
      case "everywhere":
        await endSignInsOf(tx, studioId, personId, new Date(now()));
        await revokeKind(tx, studioId, personId, "code", new Date(now()));
        return "done";
      case "parent": {
        const parent = { id: newId(), name: act.name };
        await insertPerson(tx, studioId, {
          ...parent,
          role: "parent",
          plays: false,
          instrument: "",
          no_verdict: "wait",
          times: NO_TIMES,
        });
        await letLookOn(tx, studioId, parent.id, personId);
        return issue(services, tx, studioId, parent, "link");
      }
      case "parent-link": {
        const parents = await parentsOf(tx, studioId, personId);
        const parent = parents.find(({ id }) => id === act.id);
        return parent ? issue(services, tx, studioId, parent, "link") : "done";
      }
    }
  });
}

/** The QR code of an address as an SVG drawing. */
export const qrOf = (address: string): Promise<string> =>
  QRCode.toString(address, { type: "svg", margin: 2, errorCorrectionLevel: "M" });
