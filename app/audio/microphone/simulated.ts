import type { Microphone } from "./microphone";

const CLICK_LEVEL = 0.25;
const NOTE_LEVEL = 0.5;
const NOTE_SECONDS = 0.22;
const LOWEST_HZ = 392;

/**
 * A stand-in that plays a prepared take: it hears the click through the room, and a plucked tone on
 * each beat of the play, both so many seconds late. Through a stream, as a real one comes.
 */
export function simulatedMicrophone(
  context: AudioContext,
  click: AudioNode | undefined,
  delaySeconds: number,
): Microphone {
  const air = context.createDelay(1);
  air.delayTime.value = delaySeconds;
  const gain = context.createGain();
  gain.gain.value = CLICK_LEVEL;
  click?.connect(gain).connect(air);
  const stream = context.createMediaStreamDestination();
  air.connect(stream);
  const node = context.createMediaStreamSource(stream.stream);
  const playing = new Set<AudioScheduledSourceNode>();
  const pluck = (at: number, index: number) => {
    const tone = context.createOscillator();
    const envelope = context.createGain();
    tone.frequency.value = LOWEST_HZ * 2 ** ([0, 2, 4, 5, 7][index % 5]! / 12);
    envelope.gain.setValueAtTime(0, at);
    envelope.gain.linearRampToValueAtTime(NOTE_LEVEL, at + 0.003);
    envelope.gain.exponentialRampToValueAtTime(0.001, at + NOTE_SECONDS);
    tone.connect(envelope).connect(air);
    tone.start(at);
    tone.stop(at + NOTE_SECONDS);
    playing.add(tone);
    tone.onended = () => playing.delete(tone);
  };
  return {
    node,
    latency: 0,
    prepare(start, beats) {
      beats.forEach((beat, index) => pluck(start + beat, index));
    },
    onGone: () => undefined,
    close() {
      for (const tone of playing) tone.stop();
      click?.disconnect(gain);
      node.disconnect();
      air.disconnect();
    },
  };
}
