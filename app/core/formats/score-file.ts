import { err, ok, type Result } from "~/core/result";
import type { Score, ScoreNotes } from "~/core/score";
import type { ExerciseMusic, Recipe } from "~/core/exercise";
import { looksLikeAbc, readAbc } from "./abc";
import { writeMusicXml, type Draft } from "./draft";
import { textOfFile } from "./encoding";
import { draftOfExercise, type ExerciseTold } from "./exercise";
import { readMidi } from "./midi";
import { forEngraving, readMusicXml } from "./music-xml";
import { unpackScore } from "./packed";
import { readXml } from "./xml";

export const SCORE_FORMATS = ["musicxml", "mxl", "abc", "midi"] as const;
export type ScoreFormat = (typeof SCORE_FORMATS)[number];

export const MOST_FILE_BYTES = 20_000_000;

/** A file that was understood: what is in it, and the text by which it is engraved. */
export interface ScoreFile {
  readonly format: ScoreFormat;
  readonly score: Score;
  readonly notes: ScoreNotes;
  /** MusicXML with our own ids on bars and notes. */
  readonly engraving: string;
}

const startsWith = (bytes: Uint8Array, signs: string): boolean =>
  [...signs].every((sign, i) => bytes[i] === sign.charCodeAt(0));

const OTHERS: Readonly<Record<string, string>> = {
  "%PDF": "This is a PDF: pages on paper can't be read as notes.",
  "\x89PNG": "This is a picture: it can't be read as notes.",
  "\xff\xd8\xff": "This is a picture: it can't be read as notes.",
};

/**
 * Reads a score by what is in the file, whatever its name says. A sentence where it can't be read;
 * never throws over what a file holds.
 */
export async function readScoreFile(bytes: Uint8Array): Promise<Result<ScoreFile, string>> {
  if (bytes.length === 0) return err("The file is empty.");
  if (bytes.length > MOST_FILE_BYTES) return err("The file is larger than 20 MB.");
  for (const [signs, sentence] of Object.entries(OTHERS)) {
    if (startsWith(bytes, signs)) return err(sentence);
  }
  if (startsWith(bytes, "PK")) {
    const unpacked = await unpackScore(bytes);
    return unpacked.ok ? fromText(unpacked.value, "mxl") : unpacked;
  }
  if (startsWith(bytes, "MThd")) {
    const draft = readMidi(bytes);
    return draft.ok ? fromDraft(draft.value, "midi") : draft;
  }
  return fromText(bytes, "musicxml");
}

function fromText(bytes: Uint8Array, format: ScoreFormat): Result<ScoreFile, string> {
  const text = textOfFile(bytes);
  if (!text.ok) return text;
  if (looksLikeAbc(text.value)) {
    const tune = readAbc(text.value);
    return tune.ok ? fromDraft(tune.value, "abc") : tune;
  }
  if (!text.value.trimStart().startsWith("<")) {
    return err("Fidus doesn't know this kind of file; it reads MusicXML, ABC and MIDI.");
  }
  return fromXml(text.value, format);
}

function fromXml(text: string, format: ScoreFormat): Result<ScoreFile, string> {
  const document = readXml(text);
  if (!document.ok) return document;
  const read = readMusicXml(document.value);
  if (!read.ok) return read;
  const { score, notes } = read.value;
  return ok({ format, score, notes, engraving: forEngraving(read.value) });
}

/** An exercise written out: it goes the way of all notation. */
export const exerciseFile = (
  music: ExerciseMusic,
  recipe: Recipe,
  told: ExerciseTold,
): Result<ScoreFile, string> => fromDraft(draftOfExercise(music, recipe, told), "musicxml");

/** What was drafted goes the way of all notation: written out, then read. */
function fromDraft(draft: Draft, format: ScoreFormat): Result<ScoreFile, string> {
  const file = fromXml(writeMusicXml(draft), format);
  if (!file.ok) return file;
  const { score } = file.value;
  return ok({ ...file.value, score: { ...score, unread: [...draft.unread, ...score.unread] } });
}
