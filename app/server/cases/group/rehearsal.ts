import { beforeRehearsal, toRehearse, type PlayerRecord } from "~/core/judge";
import { addDays, bpm, convertTempo, type BeatUnit, type Day } from "~/core/units";
import {
  barTallies,
  groupById,
  passagesOfPiece,
  pieceById,
  piecesForGroup,
  questionsWaiting,
  studentsOf,
  studioById,
  type Passage,
} from "~/db/queries";
import { standingOf } from "../../plan/standing";
import { byPerson } from "../../plan/week-plan";
import { todayIn, type Services } from "../../services";

/** What lies longer ago tells little of the next rehearsal. */
const LOOK_BACK_DAYS = 28;

/** The bars that a question names: "bar 12", "bars 12–14"; nothing where it names none. */
export function barsNamed(text: string): { fromBar: number; toBar: number } | undefined {
  const found = /\bbars?\s+(\d{1,4})(?:\s*(?:[-–—]|to)\s*(\d{1,4}))?/i.exec(text);
  if (!found) return undefined;
  const fromBar = Number(found[1]);
  return { fromBar, toBar: Math.max(fromBar, Number(found[2] ?? fromBar)) };
}

/** What a passage is comfortable at, in the beat unit of the piece. */
function comfortableOf(passage: Passage, unit: BeatUnit, today: Day) {
  const known = standingOf(passage, today, "common")?.comfortable;
  if (!known) return [];
  const told = (tempo: number) => convertTempo(bpm(tempo), passage.beatUnit, unit);
  const { fromBar, toBar } = passage;
  const { low, value, high } = known;
  return [
    { fromBar, toBar, comfortable: { low: told(low), value: told(value), high: told(high) } },
  ];
}

/** A piece before its rehearsal: where it fails, how fast it holds, what is asked. */
export async function rehearsalPage(
  services: Services,
  studioId: string,
  groupId: string,
  asked: string | undefined,
) {
  const { db } = services;
  const [studio, group, pieces] = await Promise.all([
    studioById(db, studioId),
    groupById(db, studioId, groupId),
    piecesForGroup(db, studioId, groupId),
  ]);
  const today = todayIn(services, studio);
  const chosen = pieces.find(({ id }) => id === asked) ?? pieces[0];
  const common = {
    group: { id: group.id, name: group.name, members: group.members.length },
    pieces: pieces.map(({ id, title, played }) => ({ id, title, played })),
  };
  if (!chosen) return { ...common, piece: undefined, bars: [], runs: [], questions: [] };
  const since = addDays(today, -LOOK_BACK_DAYS);
  const [piece, passages, tallies, questions, students] = await Promise.all([
    pieceById(db, studioId, chosen.id),
    passagesOfPiece(db, studioId, chosen.id, group.members),
    barTallies(db, studioId, chosen.id, { of: group.members, since }),
    questionsWaiting(db, studioId),
    studentsOf(db, studioId),
  ]);
  const talliesFor = byPerson(tallies);
  const players = group.members.map((id): PlayerRecord => ({
    bars: new Map(talliesFor(id).map(({ bar, ...tally }) => [bar, tally])),
    passages: passages
      .filter(({ personId }) => personId === id)
      .flatMap((passage) => comfortableOf(passage, piece.markUnit, today)),
  }));
  const bars = beforeRehearsal(piece.bars, players);
  const names = new Map(students.map(({ id, name }) => [id, name]));
  return {
    ...common,
    piece: { id: piece.id, title: piece.title, unit: piece.markUnit, mark: piece.markBpm },
    players: players.filter(({ bars: told }) => told.size > 0).length,
    bars,
    runs: toRehearse(bars),
    questions: questions
      .filter(({ person_id }) => group.members.includes(person_id))
      .map(({ id, person_id, text }) => ({
        ...{ id, name: names.get(person_id) ?? "", text },
        bars: barsNamed(text),
      }))
      .toSorted((a, b) => (a.bars?.fromBar ?? Infinity) - (b.bars?.fromBar ?? Infinity)),
  };
}
