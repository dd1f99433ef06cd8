import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import LinearProgress from "@mui/material/LinearProgress";
import Switch from "@mui/material/Switch";
import { useMemo, useState } from "react";
import { Choice } from "~/components/choice";
import { useFormats } from "~/components/locale";
import { NumberField } from "~/components/number-field";
import { MOST_TRACK_PLAYS, playsWithin, trackSeconds } from "~/core/session";
import { trackWords as said } from "~/words/track";
import { ReadyTrack } from "./ready-track";
import { partOf, soundOf, type TrackedPassage } from "./track-request";
import { useTrack } from "./use-track";
import { useWords } from "./use-words";
import styles from "./track.module.css";

interface TrackMakerProps {
  readonly passages: readonly TrackedPassage[];
  /** What it is called, on its file and in it. */
  readonly title: string;
  /** From which tempo to which; empty where that is hidden, or not one ladder. */
  readonly tempi: string;
  readonly player: string;
  /** Where a recording is had. */
  readonly recording: (id: string) => string;
  /** Where minutes of listening are told. */
  readonly listened: string;
}

const USUAL_PLAYS = 3;
const USUAL_MINUTES = 20;
/** A disc of music holds so many minutes. */
const DISC_MINUTES = 80;
const LONGEST_SECONDS = DISC_MINUTES * 60;
/** Bytes a second: 44,100 samples of two or three bytes; 128 kilobits. */
const SIZES = { "wav-16": 88_200, "wav-24": 132_300, mp3: 16_000, midi: 120 } as const;
const FORMATS = ["mp3", "wav-16", "wav-24", "midi"] as const;
const ENDINGS = { "wav-16": "wav", "wav-24": "wav", mp3: "mp3", midi: "mid" } as const;
/** What is smaller is told in kilobytes. */
const SMALL_BYTES = 1e5;

/** Ladders made into a file of sound: how, how long and large, made, heard and saved. */
export function TrackMaker(props: TrackMakerProps) {
  const { passages, title, tempi, player } = props;
  const formats = useFormats();
  const [plays, setPlays] = useState(USUAL_PLAYS);
  const [pauses, setPauses] = useState(true);
  const [announced, setAnnounced] = useState(false);
  const [withNotes, setWithNotes] = useState(true);
  const [format, setFormat] = useState<(typeof FORMATS)[number]>("mp3");
  const [minutes, setMinutes] = useState(USUAL_MINUTES);
  const { track, make, cancel } = useTrack();
  const { words, chosen, state: wordState, choose } = useWords();
  const parts = useMemo(
    () => passages.map((passage, at) => partOf(passage, words[at])),
    [passages, words],
  );
  const rungs = parts.reduce((sum, part) => sum + part.rungs.length, 0);
  const hasNotes = parts.some(({ notes }) => notes.length > 0);
  const many = Number.isInteger(plays) ? Math.min(MOST_TRACK_PLAYS, Math.max(1, plays)) : 1;
  const wish = useMemo(() => ({ plays: many, pauses, announced }), [many, pauses, announced]);
  const seconds = useMemo(() => trackSeconds(parts, wish), [parts, wish]);
  const long = seconds > LONGEST_SECONDS;
  const bytes = seconds * SIZES[format];
  const sizeTold = bytes < SMALL_BYTES ? said.small : said.megabytes(formats.tenth(bytes / 1e6));
  // What was made of other numbers is no longer what is told.
  const change = (set: () => void) => {
    cancel();
    set();
  };
  const name = said.file(title, tempi, ENDINGS[format]);
  const tags = { title, artist: player, comment: tempi };
  const render = () => make({ format, seconds, tags, ...soundOf(parts, wish, withNotes, words) });
  return (
    <>
      <div className={styles.fields}>
        <NumberField
          label={said.plays}
          unit=""
          min={1}
          max={MOST_TRACK_PLAYS}
          slider={false}
          value={plays}
          onChange={(next) => change(() => setPlays(next))}
        />
        <FormControlLabel
          control={<Switch checked={pauses} onChange={(_, on) => change(() => setPauses(on))} />}
          label={said.pauses}
        />
        {hasNotes && (
          <FormControlLabel
            control={
              <Switch checked={withNotes} onChange={(_, on) => change(() => setWithNotes(on))} />
            }
            label={said.withNotes}
          />
        )}
        <FormControlLabel
          control={
            <Switch checked={announced} onChange={(_, on) => change(() => setAnnounced(on))} />
          }
          label={said.announced}
        />
        {passages.map(
          ({ recordings, block }, at) =>
            recordings.length > 0 && (
              <Choice
                key={at}
                label={said.word(block.pieceTitle)}
                value={chosen[at] ?? ""}
                options={["", ...recordings.map(({ id }) => id)]}
                told={(id) => recordings.find((each) => each.id === id)?.name ?? said.noWord}
                onChange={(id) => change(() => choose(at, id || undefined, props.recording(id)))}
              />
            ),
        )}
        <Choice
          label={said.format}
          value={format}
          options={FORMATS}
          told={(each) => said.formats[each]}
          onChange={(next) => change(() => setFormat(next))}
        />
        <NumberField
          label={said.fit}
          unit={said.minutes}
          min={1}
          max={DISC_MINUTES}
          slider={false}
          value={minutes}
          onChange={setMinutes}
        />
        <Button
          variant="outlined"
          disabled={!(minutes > 0)}
          onClick={() =>
            change(() => setPlays(playsWithin(parts, { pauses, announced }, minutes * 60)))
          }
        >
          {said.fitNow}
        </Button>
      </div>
      {wordState !== "quiet" && <p role="status">{said.wordStates[wordState]}</p>}
      <p role="status" className={styles.told}>
        {long ? said.tooLong(seconds) : said.told(rungs, many, seconds, sizeTold)}
      </p>
      {track.state === "making" ? (
        <div className={styles.making}>
          <LinearProgress
            variant="determinate"
            value={100 * track.share}
            aria-label={said.making(Math.round(100 * track.share))}
          />
          <Button color="inherit" onClick={cancel}>
            {said.cancel}
          </Button>
        </div>
      ) : (
        <Button variant="contained" disabled={long || wordState === "coming"} onClick={render}>
          {said.make}
        </Button>
      )}
      {track.state === "ready" && (
        <ReadyTrack
          key={track.address}
          address={track.address}
          name={name}
          sounds={format !== "midi"}
          listened={props.listened}
          title={title}
        />
      )}
    </>
  );
}
