import { renderTones, TRACK_RATE, wavFile } from "~/audio/track";
import { valueOf } from "~/core/units";
import { notesOf } from "~/db/queries";
import { addDemonstration, markDemonstration } from "~/server/cases/take/demonstrations";
import type { Services } from "~/server/services";

/** The teacher's tempo: below the mark, as one shows it. */
const TEMPO = 84;
const WHOLE_SECONDS = (4 * 60) / TEMPO;
/** Before bar 1. */
const QUIET_SECONDS = 0.6;
/** Every so manieth sample is kept: the file stays small. */
const EVERY = 4;
const MARKED_EVERY = 8;

/** The band's piece as its teacher plays it, from its own notes, with a few of its bars marked. */
export async function demonstrate(
  services: Services,
  { studioId, pieceId }: { readonly studioId: string; readonly pieceId: string },
): Promise<void> {
  const { notes } = (await notesOf(services.db, studioId, pieceId))!;
  const barAt = (bar: number) => QUIET_SECONDS + (bar - 1) * WHOLE_SECONDS;
  const tones = notes.flatMap((bar, index) =>
    bar.flatMap(({ onset, duration, midi }) =>
      midi === null
        ? []
        : {
            at: barAt(index + 1) + valueOf(onset) * WHOLE_SECONDS,
            seconds: valueOf(duration) * WHOLE_SECONDS * 0.9,
            midi,
          },
    ),
  );
  const whole = renderTones(tones, barAt(notes.length + 1) + 0.5);
  const samples = Float32Array.from(
    { length: Math.floor(whole.length / EVERY) },
    (_, n) => whole.subarray(n * EVERY, (n + 1) * EVERY).reduce((sum, each) => sum + each) / EVERY,
  );
  const form = new FormData();
  form.set("file", new File([wavFile(samples, TRACK_RATE / EVERY)], "With the band.wav"));
  const added = await addDemonstration(services, { studioId, pieceId }, form);
  if (!added.ok) throw new Error(`The demonstration was refused: ${JSON.stringify(added)}`);
  const places = [];
  for (let bar = 1; bar <= notes.length; bar += MARKED_EVERY) {
    places.push({ bar, at: Math.round(barAt(bar) * 1000) / 1000 });
  }
  const mark = new FormData();
  mark.set("demonstration", added.value);
  mark.set("places", JSON.stringify(places));
  const marked = await markDemonstration(services, { studioId, pieceId }, mark);
  if (!marked.ok) throw new Error(`The demonstration was refused: ${JSON.stringify(marked)}`);
}
