import { keptVoice } from "~/features/keeping/click-voice";
import { useEffect, useRef, useState } from "react";
import { openSound, type Sound } from "~/audio/player";
import { loopMap } from "~/core/click";
import type { Rung } from "~/core/ladder";
import { loopOfRung, type Played } from "~/core/session";

const LEAD_SECONDS = 0.12;

/** Plays a rung as the student's stand would on this device: the same map, engine and voice. */
export function useHearing(block: Played, volume: number, personId: string) {
  const [heard, setHeard] = useState<number | undefined>(undefined);
  const sound = useRef<Promise<Sound> | undefined>(undefined);
  const mapId = useRef(0);
  useEffect(
    () => () => {
      void sound.current?.then((opened) => opened.close());
    },
    [],
  );
  const hush = () => {
    setHeard(undefined);
    void sound.current?.then(({ engine }) => engine.stop());
  };
  const hear = async (rung: Rung) => {
    setHeard(rung.index);
    sound.current ??= openSound({ volume, voice: keptVoice(personId) }, ({ scheduled, name }) => {
      if (name === "map-ended" && scheduled.mapId === mapId.current) {
        setHeard(undefined);
        void sound.current?.then(({ engine }) => engine.stop());
      }
    });
    const { engine, now, resume } = await sound.current;
    await resume();
    engine.stop();
    engine.setDrone(rung.click.drone);
    mapId.current = engine.schedule(loopMap(loopOfRung(block, rung)), now() + LEAD_SECONDS).mapId;
  };
  return { heard, hear, hush };
}
