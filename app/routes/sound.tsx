import { SoundPage } from "~/features/sound/sound-page";
import { words } from "~/words";

export const meta = () => [{ title: words.title(words.sound.title) }];

export default function SoundRoute() {
  return <SoundPage />;
}
