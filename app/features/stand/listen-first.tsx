import { Headphones, Square } from "lucide-react";
import { useRef, useState } from "react";
import { Press } from "~/components/press";
import type { Block } from "~/core/session";
import { words } from "~/words/stand-words";
import type { AlongSource, AlongSources } from "./along-sources";
import styles from "./task-view.module.css";

interface ListenFirstProps {
  readonly along: AlongSources;
  readonly blocks: readonly Pick<Block, "passageId" | "pieceTitle" | "fromBar" | "toBar">[];
  readonly addressOf: (id: string) => string;
}

/** What a session plays later, as the teacher plays it: heard before it is played. */
export function ListenFirst({ along, blocks, addressOf }: ListenFirstProps) {
  const audio = useRef<HTMLAudioElement>(null);
  const [sounding, setSounding] = useState<string | undefined>(undefined);
  const heard = new Map(blocks.map((block) => [block.passageId, block]));
  const all = [...heard.values()].flatMap((block) => {
    const source = along[block.passageId];
    return source ? [{ block, source }] : [];
  });
  if (all.length === 0) return null;
  const play = ({ id, lines }: AlongSource, passageId: string) => {
    const player = audio.current!;
    player.pause();
    if (sounding === passageId) return;
    if (!player.src.endsWith(addressOf(id))) player.src = addressOf(id);
    player.currentTime = lines[0]!;
    // It stops behind the last bar of the passage.
    player.ontimeupdate = () => player.currentTime >= lines.at(-1)! && player.pause();
    player.onpause = () => setSounding(undefined);
    void player.play().then(() => setSounding(passageId));
  };
  return (
    <div className={styles.listen}>
      {all.map(({ block, source }) => {
        const { passageId, pieceTitle, fromBar, toBar } = block;
        const sounds = sounding === passageId;
        return (
          <Press
            key={passageId}
            kind="outlined"
            size="large"
            icon={sounds ? <Square size={20} /> : <Headphones size={20} />}
            onClick={() => play(source, passageId)}
          >
            {sounds
              ? words.along.listenStop
              : words.along.listen(pieceTitle, words.bars(fromBar, toBar))}
          </Press>
        );
      })}
      <audio ref={audio} preload="none" />
    </div>
  );
}
