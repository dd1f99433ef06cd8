import { useCallback, useEffect, useState, type MouseEvent } from "react";
import { useNavigate } from "react-router";
import { Press } from "~/components/press";
import {
  type PlannedTake,
  clickNow,
  currentBlock,
  playsAnything,
  taskNow,
  type SessionEvent,
  type SessionPlan,
} from "~/core/session";
import { questionOf, type PlayersInput } from "~/core/transport";
import { words } from "~/words/stand-words";
import { AlongLight } from "./along-light";
import { BetweenSheet } from "./between-sheet";
import { BottomFields } from "./bottom-fields";
import { EndedNote } from "./ended-note";
import { HelpSheet } from "./help-sheet";
import { keepForOffline } from "./keep-for-offline";
import { notesToKeep } from "./notes-to-keep";
import type { StandMusic } from "./music";
import type { AlongSources } from "./along-sources";
import { NoteSheet } from "./note-sheet";
import { OpeningSheet } from "./opening-sheet";
import { StandHandsProvider } from "./stand-context";
import { StandFigure } from "./stand-figure";
import { StandTop } from "./stand-top";
import { TakeLight } from "./take-light";
import { lastTakeChoice } from "./take-choice-kept";
import { TakeSheet } from "./take-sheet";
import { TapSheet } from "./tap-sheet";
import { NextPart, TaskView } from "./task-view";
import { MoreSheet, Tools } from "./tools";
import { useByHeart } from "./use-by-heart";
import { useAwake, useOnlyWindow, usePosition, useStandDesk } from "./use-stand";
import { useKeptChoice } from "./use-kept-choice";
import { plannedNow, usePlannedTake } from "./use-planned-take";
import { useStandKeys } from "./use-stand-keys";
import { useVolume } from "~/features/keeping/use-volume";
import styles from "./stand.module.css";

export interface StandProps {
  readonly studioId: string;
  readonly sessionId: string;
  readonly personId: string;
  readonly plan: SessionPlan;
  readonly stored: readonly SessionEvent[];
  readonly music: StandMusic;
  /** What can be played along with. */
  readonly along: AlongSources;
  /** A room to try things out: a stand-in for the microphone is offered. */
  readonly trial: boolean;
}

/** The stand, in one window at a time. */
export function Stand(props: StandProps) {
  const { holding, take } = useOnlyWindow(props.sessionId);
  if (holding === "elsewhere" || holding === "gone") {
    return (
      <main className={styles.elsewhere}>
        <p>{holding === "gone" ? words.stand.gone : words.stand.elsewhere}</p>
        <Press kind="filled" size="large" onClick={take}>
          {words.stand.useHere}
        </Press>
      </main>
    );
  }
  return <OpenStand {...props} held={holding === "held"} />;
}

/** A button pressed by the mouse leaves the keys where they are: Space goes on with the play. */
function leaveTheKeys(event: MouseEvent) {
  if (event.target instanceof Element && event.target.closest("button")) event.preventDefault();
}

/** What lies over the stand. */
type Laid = "more" | "help" | "note" | "tap" | "between" | "opening" | "take";

function OpenStand({
  studioId,
  sessionId,
  personId,
  plan,
  stored,
  music,
  along,
  trial,
  held,
}: StandProps & { held: boolean }) {
  const { volume, setVolume } = useVolume();
  const url = `/studio/${studioId}/sessions/${sessionId}/events`;
  const alongAddress = (id: string) =>
    `/studio/${studioId}/students/${personId}/demonstrations/${id}/sound`;
  const { desk, view } = useStandDesk({
    ...{ sessionId, personId, plan, stored, url, volume, along },
    alongAddress,
  });
  const send = useCallback((input: PlayersInput) => desk?.send(input), [desk]);
  const [sheet, setSheet] = useState<Laid | undefined>(
    plan.opening && stored.length === 0 ? "opening" : undefined,
  );
  const navigate = useNavigate();
  const { stand: state, transport } = view;
  const running = transport !== "stopped";
  const position = usePosition(desk, running);
  useAwake(running);
  // Once the sound is loaded too, all that the stand needs is there to be kept.
  const begun = view.ready && running;
  useEffect(() => {
    if (begun) void keepForOffline(notesToKeep(plan, music));
  }, [begun, plan, music]);

  // Where the ladder starts at what is tapped, that is asked before anything is played.
  const fresh = !state.plays.some(({ blockIndex }) => blockIndex === state.blockIndex);
  const plays = playsAnything(state);
  const measures = plays && currentBlock(state).plan.ladder.startRule.kind === "measured";
  const asksForTempo = view.ready && held && fresh && measures && !state.ended && !taskNow(state);
  useEffect(() => {
    if (asksForTempo) setSheet("tap");
  }, [asksForTempo]);

  const ended = state.ended;
  const endedHere = ended !== undefined && desk !== undefined && view.ready;
  const { sending } = view;
  useEffect(() => {
    // Whenever the sending has got on, it may be all there.
    if (!endedHere || ended === "pain" || sending === "signed-out") return;
    let over = false;
    void desk.flushed(4000).then((sent) => {
      if (sent && !over) void navigate(`/studio/${studioId}/sessions/${sessionId}`);
    });
    return () => {
      over = true;
    };
  }, [endedHere, ended, sending, desk, navigate, studioId, sessionId]);

  const openTap = () => {
    send({ kind: "pause" });
    setSheet("tap");
  };
  const openBetween = () => {
    send({ kind: "pause" });
    setSheet("between");
  };
  const openTake = () => {
    // While it is played nothing is asked: what was chosen before goes.
    const before = running ? lastTakeChoice(trial) : undefined;
    if (before) return void desk?.record(before);
    send({ kind: "pause" });
    setPlanned(undefined);
    setSheet("take");
  };
  const usable = held && view.ready && !ended;
  const [planned, setPlanned] = useState<PlannedTake | undefined>(undefined);
  const askForPlanned = useCallback(() => {
    setPlanned(plannedNow(view));
    setSheet("take");
  }, [view]);
  const free = usable && sheet === undefined && !asksForTempo;
  usePlannedTake({ view, desk, free, trial, ask: askForPlanned });
  const [notesShown, setNotesShown] = useKeptChoice("fidus-notes", true);
  const byHeart = useByHeart(plays ? currentBlock(state).plan.passageId : "", state.plays.length);
  const hasNotes = plays && music[currentBlock(state).plan.passageId] !== undefined;
  const fromMemory = hasNotes && notesShown && byHeart.fromMemory;
  useEffect(() => {
    send({ kind: "from-memory", on: fromMemory });
  }, [send, fromMemory]);
  const [letters, setLetters] = useKeptChoice("fidus-letters", true);
  useStandKeys({
    view,
    send,
    desk,
    usable,
    enabled: sheet === undefined,
    letters,
    onTap: openTap,
    onBetween: openBetween,
    onNote: () => setSheet("note"),
    onLook: byHeart.look,
    onRecord: openTake,
    onHelp: () => setSheet("help"),
  });

  if (ended) {
    return (
      <EndedNote
        how={ended}
        kept={view.sending === "kept" || view.sending === "signed-out"}
        to={`/studio/${studioId}/sessions/${sessionId}`}
        onSlip={() => send({ kind: "slip" })}
      />
    );
  }
  const { plan: block, state: blockState } = currentBlock(state);
  const notes = plays ? music[block.passageId] : undefined;
  const task = questionOf(view) === "task";
  const tools = { onNote: () => setSheet("note"), onTap: openTap, onBetween: openBetween };
  return (
    <StandHandsProvider value={{ view, send, desk, usable, position }}>
      <main
        className={styles.stand}
        onMouseDown={leaveTheKeys}
        data-notes={(notes && notesShown && !task) || undefined}
        data-transport={view.transport}
        data-plays={state.plays.length}
        data-passed={plays ? blockState.passed.length : 0}
        data-part={state.part}
      >
        <h1 className="sr-only">{words.stand.title}</h1>
        <StandTop
          home={`/studio/${studioId}/students/${personId}/today`}
          onHelp={() => setSheet("help")}
          onward={<NextPart />}
          take={
            !task && (
              <>
                {plays && along[currentBlock(state).plan.passageId] && <AlongLight />}
                <TakeLight planned={plannedNow(view)?.run} onRecord={openTake} />
              </>
            )
          }
          volume={volume}
          onVolume={(next) => {
            setVolume(next);
            desk?.setVolume(next);
          }}
        />
        {task ? (
          <TaskView {...{ along, alongAddress }} />
        ) : (
          <>
            <StandFigure
              key={block.passageId}
              music={notes}
              notesShown={notesShown}
              onNotesShown={setNotesShown}
              byHeart={byHeart}
            />
            <BottomFields />
          </>
        )}
        <Tools {...tools} onMore={() => setSheet("more")} />
        <MoreSheet
          {...tools}
          open={sheet === "more"}
          // What was pressed in it may have laid another in its place.
          onClose={() => setSheet((now) => (now === "more" ? undefined : now))}
        />
        {plan.opening && (
          <OpeningSheet
            open={sheet === "opening"}
            opening={plan.opening}
            onClose={() => setSheet(undefined)}
          />
        )}
        <TakeSheet
          open={sheet === "take"}
          trial={trial}
          planned={planned}
          onClap={(choice) => desk?.clapAlong(choice) ?? Promise.resolve(false)}
          onClose={() => setSheet(undefined)}
          onRecord={(choice) => {
            setSheet(undefined);
            // What the plan records is recorded when its turn comes.
            if (!planned || planned.before === 0) void desk?.record(choice);
          }}
        />
        <HelpSheet
          open={sheet === "help"}
          letters={letters}
          onLetters={setLetters}
          onClose={() => setSheet(undefined)}
        />
        <TapSheet
          open={sheet === "tap"}
          onClose={() => setSheet(undefined)}
          onTempo={(bpm) => send({ kind: "tempo", bpm })}
        />
        {plays && (
          <BetweenSheet
            open={sheet === "between"}
            pace={clickNow(blockState)}
            onClose={() => setSheet(undefined)}
            onSet={(pace) => send({ kind: "pace", pace })}
          />
        )}
        <NoteSheet
          open={sheet === "note"}
          onClose={() => setSheet(undefined)}
          onKeep={(text) => send({ kind: "note", text })}
          onAsk={(text) => send({ kind: "ask", text })}
        />
      </main>
    </StandHandsProvider>
  );
}
