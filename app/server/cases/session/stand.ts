import { firstPosition, type Score } from "~/core/score";
import type { SessionPlan } from "~/core/session";
import { parseKey, type Key } from "~/core/units";
import {
  eventsOf,
  papersOfPassages,
  passageById,
  scoresOfPassages,
  sessionById,
  studioById,
} from "~/db/queries";
import type { EngravingAsked } from "../../score/engraving";
import type { Services } from "../../services";
import { alongWith } from "../take/demonstrations";
import { pageAddress } from "../piece/paper";
import { engraved } from "../piece/scores";

/** What the stand needs: the plan as it was fixed, and the events that have arrived. */
export async function standPage({ db }: Services, studioId: string, sessionId: string) {
  const [session, stored, studio] = await Promise.all([
    sessionById(db, studioId, sessionId),
    eventsOf(db, studioId, sessionId),
    studioById(db, studioId),
  ]);
  const { person_id: personId, plan } = session;
  const passages = [...new Set(plan.blocks.map(({ passageId }) => passageId))];
  const [scores, papers] =
    passages.length > 0
      ? await Promise.all([
          scoresOfPassages(db, studioId, passages),
          papersOfPassages(db, studioId, passages),
        ])
      : [[], []];
  const address = (id: string) => `/studio/${studioId}/sessions/${sessionId}/notes/${id}`;
  const onPaper = papers
    .filter(({ layout }) => layout.length > 0)
    .map(({ passage_id: id, piece_id: pieceId, pages, ...paper }) => {
      const images = pages.map(({ number }) =>
        pageAddress({ studioId, personId, pieceId }, paper, number),
      );
      return [id, { address: address(id), labels: {}, images, only: "all" as const }] as const;
    });
  const engraved = scores.map(({ passage_id: id, only_notes: only, score }) => {
    return [id, { address: address(id), labels: labelsOf(score), images: [], only }] as const;
  });
  return {
    personId,
    plan,
    stored,
    along: await alongWith(db, studioId, plan),
    trial: studio.demo,
    music: Object.fromEntries([...onPaper, ...engraved]),
  };
}

/** The printed numbers that are others than the positions. */
function labelsOf(score: Score): Record<number, string> {
  const first = firstPosition(score);
  const labels = score.bars.map(({ label }, index) => [index + first, label] as const);
  return Object.fromEntries(labels.filter(([position, label]) => label !== String(position)));
}

/** The key in which a week asks for a passage; undefined where its keys don't go round. */
function keyOfPassage({ blocks, parts }: SessionPlan, passageId: string): Key | undefined {
  const at = blocks.findIndex((block) => block.passageId === passageId);
  const said = parts?.find(({ block }) => block === at)?.said?.key;
  return said ? parseKey(said) : undefined;
}

/** The notes of a passage that a session plays, for a width. */
export async function standNotes(
  services: Services,
  studioId: string,
  { sessionId, passageId }: { readonly sessionId: string; readonly passageId: string },
  asked: Pick<EngravingAsked, "width" | "range">,
) {
  const [session, { personId, pieceId }] = await Promise.all([
    sessionById(services.db, studioId, sessionId),
    passageById(services.db, studioId, passageId),
  ]);
  if (session.person_id !== personId) return undefined;
  const key = keyOfPassage(session.plan, passageId);
  return engraved(services, studioId, personId, pieceId, { ...asked, allParts: false, key });
}

export async function storedEvents({ db }: Services, studioId: string, sessionId: string) {
  await sessionById(db, studioId, sessionId);
  return eventsOf(db, studioId, sessionId);
}
