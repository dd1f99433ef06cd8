import { SoundCheck } from "~/features/sound/sound-check";
import { words } from "~/words";

export const meta = () => [{ title: words.title(words.sound.title) }];

export default function SoundCheckRoute() {
  return <SoundCheck />;
}
