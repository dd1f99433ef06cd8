import { useRouteLoaderData } from "react-router";
import { SoundPage } from "~/features/sound/sound-page";
import { words } from "~/words";
import type { loader as deskLoader } from "./desk";

export const meta = () => [{ title: words.title(words.sound.title) }];

export default function SoundRoute() {
  return <SoundPage personId={useRouteLoaderData<typeof deskLoader>("routes/desk")?.mine} />;
}
