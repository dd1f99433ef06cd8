import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import { Care } from "~/components/care";
import { Choice } from "~/components/choice";
import { Page, Section } from "~/components/page";
import { ACCENTS, CLICK_SOUNDS } from "~/core/click";
import { words } from "~/words";
import { ClickMeasure } from "./click-measure";
import { MicrophoneTest } from "./microphone-test";
import { PedalTest } from "./pedal-test";
import { useClick } from "./use-click";
import styles from "./sound.module.css";

const { sound } = words;

/** The player's sound: the click as it is liked, and whether microphone and pedal work. */
export function SoundPage({ personId }: { readonly personId: string | undefined }) {
  const { voice, volume, silent, chooses, turns, hear } = useClick(personId);
  return (
    <Page title={sound.title} lead={sound.volume}>
      <Section title={sound.click}>
        <div className={styles.voices} role="group" aria-label={sound.voice}>
          {CLICK_SOUNDS.map((each) => (
            <Button
              key={each}
              variant={each === voice.sound ? "contained" : "outlined"}
              aria-pressed={each === voice.sound}
              onClick={() => chooses({ ...voice, sound: each })}
            >
              {sound.voices[each]}
            </Button>
          ))}
        </div>
        <div className={styles.form}>
          <Choice
            label={sound.accents}
            value={voice.accents}
            options={ACCENTS}
            told={(accents) => sound.accent[accents]}
            onChange={(accents) => chooses({ ...voice, accents })}
          />
          <label className={styles.volume}>
            {sound.loudness}
            <Slider
              min={0}
              max={1}
              step={0.05}
              value={volume}
              onChange={(_, next) => turns(next as number)}
              onChangeCommitted={hear}
              slotProps={{ input: { "aria-label": sound.loudness } }}
            />
          </label>
          <Button variant="outlined" onClick={hear}>
            {sound.hear}
          </Button>
        </div>
        {silent && <p role="alert">{words.stand.noSound}</p>}
        <p className={styles.soft}>{sound.onDevice}</p>
      </Section>
      <Section title={sound.microphone}>
        <MicrophoneTest />
      </Section>
      <Section title={sound.pedal}>
        <PedalTest />
      </Section>
      <ClickMeasure />
      <Care />
    </Page>
  );
}
