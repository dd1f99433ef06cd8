import { useRef } from "react";
import { Section } from "~/components/page";
import { trackWords as said } from "~/words/track";
import { useListening } from "./use-listening";
import styles from "./track.module.css";

interface ReadyTrackProps {
  /** Where the file lies in this browser. */
  readonly address: string;
  readonly name: string;
  /** MIDI is no sound: it can only be saved. */
  readonly sounds: boolean;
  /** Where minutes of listening are told. */
  readonly listened: string;
  /** What is listened to. */
  readonly title: string;
}

/** A track that is there: to be heard, and saved. */
export function ReadyTrack({ address, name, sounds, listened, title }: ReadyTrackProps) {
  const player = useRef<HTMLAudioElement>(null);
  useListening(player, listened, said.listened(title));
  return (
    <Section title={said.ready}>
      {sounds && (
        <>
          <audio controls ref={player} src={address} className={styles.player} />
          <p className={styles.soft}>{said.counted}</p>
        </>
      )}
      <p>
        <a href={address} download={name}>
          {said.download}
        </a>{" "}
        <span className={styles.soft}>{name}</span>
      </p>
      <p className={styles.soft}>{said.care}</p>
    </Section>
  );
}
