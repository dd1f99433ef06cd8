/** Something that hears the player: the device's microphone, or a stand-in for it. */
export interface Microphone {
  readonly node: AudioNode;
  /** Seconds that the device says it takes from the air to us; unknown: 0. */
  readonly latency: number;
  /** A play is about to sound; only the stand-in has to know. */
  readonly prepare: (start: number, beats: readonly number[]) => void;
  /** It has gone: pulled out, or taken away. */
  readonly onGone: (tell: () => void) => void;
  readonly close: () => void;
}

/** Why there is no microphone, as a sentence knows it. */
export type NoMicrophone = "refused" | "none" | "busy";

export class MicrophoneMissing extends Error {
  constructor(readonly why: NoMicrophone) {
    super(`No microphone: ${why}`);
  }
}

const reasonOf = (error: unknown): NoMicrophone => {
  const name = error instanceof DOMException ? error.name : "";
  if (name === "NotAllowedError" || name === "SecurityError") return "refused";
  return name === "NotReadableError" || name === "AbortError" ? "busy" : "none";
};

/** The device's microphone as it hears: nothing filtered, nothing levelled, one channel. */
export async function deviceMicrophone(context: AudioContext): Promise<Microphone> {
  const devices = navigator.mediaDevices as MediaDevices | undefined;
  if (!devices) throw new MicrophoneMissing("none");
  const stream = await devices
    .getUserMedia({
      audio: {
        channelCount: 1,
        echoCancellation: false,
        noiseSuppression: false,
        autoGainControl: false,
      },
    })
    .catch((error: unknown) => {
      throw new MicrophoneMissing(reasonOf(error));
    });
  const node = context.createMediaStreamSource(stream);
  const [track] = stream.getAudioTracks();
  const { latency = 0 } = (track?.getSettings() ?? {}) as { latency?: number };
  return {
    node,
    latency,
    prepare: () => undefined,
    onGone: (tell) => track?.addEventListener("ended", tell),
    close() {
      node.disconnect();
      for (const each of stream.getTracks()) each.stop();
    },
  };
}
