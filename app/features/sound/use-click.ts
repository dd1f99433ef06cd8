import { useEffect, useRef, useState } from "react";
import { openSound, type Sound } from "~/audio/player";
import { gridMap, USUAL_VOICE, type ClickVoice } from "~/core/click";
import { bpm } from "~/core/units";
import { keepVoice, keptVoice } from "~/features/keeping/click-voice";
import { useVolume } from "~/features/keeping/use-volume";

const TEMPO = bpm(96);
const LEAD_SECONDS = 0.06;
/** One bar with its eighths: every voice of a plain click is in it. */
const BAR = gridMap({ beats: 4, unit: 4 }, TEMPO, "quarter", 2, 1);

/** The click as this device keeps it, heard as soon as it is chosen. */
export function useClick(personId: string | undefined) {
  const [voice, setVoice] = useState(USUAL_VOICE);
  const { volume, setVolume } = useVolume();
  /** No sound could be opened. */
  const [silent, setSilent] = useState(false);
  const sound = useRef<Promise<Sound>>(undefined);
  useEffect(() => setVoice(keptVoice(personId)), [personId]);
  useEffect(
    () => () => {
      void sound.current?.then((opened) => opened.close());
    },
    [],
  );
  const opened = async (as: ClickVoice): Promise<Sound | undefined> => {
    sound.current ??= openSound({ volume, voice: as }, () => undefined);
    try {
      return await sound.current;
    } catch {
      // The next press tries again.
      sound.current = undefined;
      return undefined;
    }
  };
  const plays = async (as: ClickVoice) => {
    const found = await opened(as);
    setSilent(found === undefined);
    if (!found) return;
    const { engine, now, resume } = found;
    await resume();
    engine.stop();
    engine.setVolume(volume);
    engine.setVoice(as);
    engine.schedule(BAR, now() + LEAD_SECONDS);
  };
  return {
    voice,
    volume,
    silent,
    turns: setVolume,
    hear: () => void plays(voice),
    chooses(next: ClickVoice) {
      setVoice(next);
      keepVoice(next, personId);
      void plays(next);
    },
  };
}
