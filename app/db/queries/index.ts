export { dropOutlook, outlooksOn, putOutlook } from "./outlooks";
export {
  dismissAdvice,
  dismissedAdvice,
  flawsOfPerson,
  ladderNumbered,
  lastSitting,
  reachedSince,
  rulesOff,
  switchRuleOff,
  switchRuleOn,
  tempoTallies,
} from "./advice";
export {
  draftBeginsOn,
  draftOf,
  draftsOfAll,
  dropDraft,
  insertDraft,
  saveDraft,
  type Draft,
} from "./drafts";
export { askedByDay, dropAskedFrom, keepAsked } from "./item-days";
export { barMarksOf, markBars } from "./bar-marks";
export {
  deleteDemonstration,
  demonstrationBytes,
  demonstrationById,
  demonstrationsOf,
  insertDemonstration,
  placeBars,
  type Demonstration,
} from "./demonstrations";
export { cameOn, gradeRuleOf, handedInOfAll, practiceOfAll, setGradeRule } from "./report";
export {
  dropGroup,
  dropGroupItem,
  groupById,
  groupItemById,
  groupItems,
  groupsOf,
  landedOf,
  membersOf,
  piecesForGroup,
  putGroup,
  putGroupItem,
  putLanded,
  putMembers,
  type Group,
  type GroupItemRow,
  type Landed,
  type LeftOutFor,
} from "./groups";
export { changeToday, takeBackToday, todayChanges, type TodayChange } from "./today-change";
export type { GivenFrom } from "./passages";
export {
  exerciseById,
  exercisesOf,
  keepExercise,
  lastMade,
  notDoneLately,
  techniquesOf,
  type Exercise,
  type ExercisePassage,
} from "./exercises";
export {
  libraryLines,
  libraryTotal,
  nameTaken,
  renameInLibrary,
  takeOutOfLibrary,
} from "./library";
export { logLines, logTotals, type LogLine } from "./log-lines";
export {
  insertPerson,
  mustDoOf,
  setMustDo,
  setNoVerdict,
  setShorthand,
  setTimes,
  shorthandOf,
  studentById,
  studentsOf,
} from "./people";
export { keepLadder, keptLadders, type KeptLadder } from "./kept-ladders";
export { dropTyped, putTyped, typedOf } from "./lesson-typed";
export {
  checkpoint,
  countsOfAll,
  firstLogFile,
  lastLogFile,
  refreshStatistics,
  writtenUpTo,
} from "./maintenance";
export {
  insertLadder,
  laddersOf,
  insertPassage,
  passageById,
  passageIds,
  passagesNamed,
  passagesOfPerson,
  passagesOfPiece,
  passagesPutAway,
  retirePassage,
  setHardness,
  setPassageState,
} from "./passages";
export {
  barsCut,
  insertPiece,
  lastBarCut,
  pieceById,
  pieceOfPerson,
  piecesOfPerson,
  putOnStand,
  setStages,
  stagesOf,
  titlesOf,
  updatePiece,
} from "./pieces";
export {
  recordFrom,
  putPassageDays,
  clearSessions,
  writeSession,
  type EstimatedDay,
} from "./projections";
export {
  changesSince,
  touchedBy,
  type CountedMeasure,
  type CountedRep,
  type SessionProjection,
} from "./session-changes";
export {
  barTallies,
  levelsByWeek,
  levelsOfPerson,
  playsOfPassage,
  flawsByBar,
  flawBeats,
  flawsOfSession,
  fromMemoryOf,
  type LogEntry,
  logEntry,
  logOf,
  painSince,
  whoSaidPain,
  passageDays,
  recordByKey,
  lastDaysOfEach,
  lastPractised,
  saidSince,
} from "./record";
export { evennessByDay, evennessOfSession } from "./measures";
export { type Passage, type Piece, type Studio } from "./rows";
export {
  beganAt,
  eventsOf,
  insertEvents,
  insertSession,
  openSessionOf,
  sessionById,
  sessionIds,
  sessionsWhole,
} from "./sessions";
export {
  allStudios,
  insertStudio,
  ratingScaleOf,
  setCountedBy,
  setRatingScale,
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
  takeCode,
  teachersWithoutPassword,
  whoIs,
  type AccessKind,
  type Who,
} from "./access";
export { dropWordedGoal, insertWordedGoal, markWordedGoal, wordedGoalsOf } from "./goals";
export {
  closeQuestion,
  insertQuestion,
  questionsOf,
  questionsWaiting,
  type Question,
} from "./questions";
export {
  assignmentById,
  assignmentsOf,
  beginsOn,
  changeSeen,
  insertWeek,
  tellOfChange,
  lastsUntil,
  replaceWeek,
  weeksBetween,
  weeksOfAll,
  writeWeek,
  type Assignment,
} from "./week";
export {
  dropByHand,
  enoughOf,
  insertByHand,
  playedByDay,
  practiceByHand,
  sayEnough,
  sessionsBetween,
  takeBackEnough,
  type ByHand,
  type PlayedDay,
  type Whose,
} from "./practised";
export { dropShape, keepShape, shapesOf } from "./shapes";
export { markMemory, memoryOf, memoryOfAll, putMemory } from "./memory-plans";
export {
  engravingOf,
  insertScore,
  notesOf,
  originalOf,
  partOf,
  scoreOf,
  scoresOfPassages,
  setPart,
  type StoredScore,
} from "./scores";
export {
  pageImageOf,
  paperFileOf,
  paperOf,
  papersOfPassages,
  papersOfRoom,
  replacePaper,
  setPaperLayout,
  type StoredPaper,
} from "./paper";
export { dropBars, insertMemoryTest, memoryTests, standBars, standingBars } from "./by-heart";
export {
  LEFT_OUT,
  ROOM_TABLE_NAMES,
  roomTable,
  type RoomTable,
  type RoomTableName,
} from "./room-tables";
export { belongingsOf, leaving, letGo, takeAway } from "./whole-student";
export {
  handedInOfStudent,
  playsOfStudent,
  progressOfStudent,
  sessionsOfStudent,
} from "./student-tables";
export {
  putRoomRows,
  roomBytes,
  roomLines,
  roomShapes,
  tableNames,
  tablesVersion,
  takeOver,
  type TableShape,
} from "./whole-room";
export {
  endLease,
  leasesOver,
  renewLease,
  replaceLease,
  roomIsEmpty,
  setUncounted,
  takeLease,
  takeOut,
  type Lease,
  type ShutReason,
} from "./shut-rooms";
export {
  deleteTake,
  deleteTakesBefore,
  deleteTakesOf,
  earOf,
  hashInUse,
  heardIn,
  insertTake,
  personOfTake,
  putHeard,
  takeById,
  takeBytesOf,
  takeHashes,
  takesKept,
  type TakesKept,
  takesOf,
  takesLeaving,
  takeThere,
  letParentsHear,
  parentsHear,
  setTakesKept,
  soundsKept,
  type TakeRow,
} from "./takes";
export {
  addComment,
  answeredSince,
  answerHandIn,
  handInById,
  handInForItem,
  handInsForItems,
  handInsOfTake,
  keepTakeUntil,
  putHandIn,
  spokenComment,
  spokenOf,
  waitingHandIns,
  type KeptSound,
} from "./hand-ins";
