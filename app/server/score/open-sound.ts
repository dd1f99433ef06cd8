import { ALL_FORMATS, BufferSource, FilePathSource, Input } from "mediabunny";
import { SOUND_KINDS, type SoundKind } from "../takes/sound-kind";

/** So many pieces of a sound are looked at: enough to see that there is one. */
const PACKETS = 50;
const MOST_CHANNELS = 8;
const MOST_RATE = 192_000;

/** Where a sound is: in memory, or a file. */
export type SoundSource = { readonly bytes: Uint8Array } | { readonly file: string };

const kindOf = (mimeType: string): SoundKind | undefined => {
  const [plain] = mimeType.split(";");
  // A film without pictures is a sound all the same.
  const name = plain!.replace(/^video\//, "audio/").replace("audio/matroska", "audio/webm");
  return SOUND_KINDS.find((kind) => kind === name);
};

/**
 * Opens a sound and looks at its first pieces; its kind, or undefined where there is no sound in it:
 * twelve right bytes are none.
 */
export async function openSound(source: SoundSource): Promise<SoundKind | undefined> {
  const input = new Input({
    formats: ALL_FORMATS,
    source: "file" in source ? new FilePathSource(source.file) : new BufferSource(source.bytes),
  });
  try {
    const track = await input.getPrimaryAudioTrack();
    if (!track || track.codec === null) return undefined;
    const { packetCount } = await track.computePacketStats(PACKETS);
    const sane =
      packetCount > 0 && track.numberOfChannels <= MOST_CHANNELS && track.sampleRate <= MOST_RATE;
    return sane ? kindOf(await input.getMimeType()) : undefined;
  } catch {
    return undefined;
  } finally {
    input.dispose();
  }
}
