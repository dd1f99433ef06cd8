export { insertPerson, setNoVerdict, setTimes, studentById, studentsOf } from "./people";
export { dropKeptLadder, keepLadder, keptLadders, type KeptLadder } from "./kept-ladders";
export { refreshStatistics } from "./maintenance";
export {
  insertLadder,
  insertPassage,
  passageById,
  passageIds,
  passagesOfPerson,
  retirePassage,
  setPassageState,
} from "./passages";
export {
  insertPiece,
  lastBarCut,
  pieceById,
  pieceOfPerson,
  piecesOfPerson,
  updatePiece,
} from "./pieces";
export { playedDays, putPassageDay, replaceSession } from "./projections";
export {
  ceilingsOfPerson,
  flawsByBar,
  flawsOfSession,
  latestOfEach,
  logEntry,
  logOf,
  minutesByDay,
  painSince,
  passageDays,
  reachedSince,
  saidSince,
  repsOfPassage,
} from "./record";
export { PIECE_KINDS, type Passage, type Piece, type Studio } from "./rows";
export {
  eventsOf,
  insertEvents,
  insertSession,
  openSessionOf,
  sessionById,
  sessionIds,
} from "./sessions";
export {
  allStudios,
  insertStudio,
  setCountedBy,
  setStudioConcert,
  studioById,
  studiosCountedBefore,
} from "./studios";
export {
  accessesOf,
  bySignInName,
  demoPeople,
  endSignIn,
  endSignInsOf,
  insertAccess,
  insertSignIn,
  letLookOn,
  markUsed,
  openAccess,
  parentsOf,
  personOfPassage,
  personOfSession,
  revokeAccess,
  revokeKind,
  setPassword,
  teachersWithoutPassword,
  whoIs,
  type AccessKind,
  type Who,
} from "./access";
export {
  assignmentById,
  assignmentsOf,
  draftOf,
  dropShape,
  endWeeksBefore,
  insertByHand,
  insertDraft,
  keepShape,
  markMemory,
  markSet,
  memoryOf,
  memoryOfAll,
  playedByDay,
  practiceByHand,
  putMemory,
  saveDraft,
  sessionsBetween,
  shapesOf,
  weeksOfAll,
  writeDecisions,
  type Assignment,
  type ByHand,
  type PlayedDay,
} from "./week";
