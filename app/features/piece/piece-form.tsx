import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { Form } from "react-router";
import { BarRibbon } from "~/components/bar-ribbon";
import { BeatUnitGlyph } from "~/components/beat-unit";
import { Field, type Refused } from "~/components/field";
import { Page } from "~/components/page";
import { MOST_BARS, usualBeatUnit } from "~/core/score";
import { BEAT_UNIT_NAMES, parseMetre, type BeatUnit } from "~/core/units";
import { words } from "~/words";
import styles from "./piece.module.css";

interface PieceFormProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly refused: Refused | undefined;
}

const { pieceForm } = words;
const MOST_PREVIEWED = 64;

/** A new piece: what it is, and its bars, drawn as they are typed. */
export function PieceForm({ studioId, person, refused }: PieceFormProps) {
  const [bars, setBars] = useState(refused?.values.bars ?? "16");
  const [metreText, setMetreText] = useState(refused?.values.metre ?? "4/4");
  const [pickup, setPickup] = useState(refused?.values.pickupBeats ?? "0");
  const [chosenUnit, setChosenUnit] = useState<BeatUnit | undefined>(undefined);
  const metre = parseMetre(metreText);
  const unit = chosenUnit ?? (metre ? usualBeatUnit(metre) : "quarter");
  const count = Math.min(MOST_PREVIEWED, Math.max(0, Math.floor(Number(bars)) || 0));
  return (
    <Page
      title={pieceForm.title}
      lead={pieceForm.lead(person.name)}
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
    >
      <Form method="post" className={styles.form} noValidate>
        <Field
          name="title"
          label={pieceForm.name}
          refused={refused}
          className={styles.wide}
          autoFocus
        />
        <Field name="origin" label={pieceForm.origin} refused={refused} className={styles.half} />
        <Field
          name="kind"
          label={pieceForm.kind}
          refused={refused}
          defaultValue="piece"
          select
          className={styles.half}
        >
          {Object.entries(pieceForm.kinds).map(([value, label]) => (
            <MenuItem key={value} value={value}>
              {label}
            </MenuItem>
          ))}
        </Field>
        <Field
          name="bars"
          label={pieceForm.bars}
          refused={refused}
          value={bars}
          onChange={(event) => setBars(event.target.value)}
          type="number"
          slotProps={{ htmlInput: { min: 1, max: MOST_BARS } }}
        />
        <Field
          name="metre"
          label={pieceForm.metre}
          helper={pieceForm.metreHelp}
          refused={refused}
          value={metreText}
          onChange={(event) => setMetreText(event.target.value)}
        />
        <Field
          name="pickupBeats"
          label={pieceForm.pickup}
          refused={refused}
          value={pickup}
          onChange={(event) => setPickup(event.target.value)}
          type="number"
          slotProps={{ htmlInput: { min: 0 } }}
        />
        <Field
          name="changes"
          label={pieceForm.changes}
          helper={pieceForm.changesHelp}
          refused={refused}
        />
        <Field
          name="markUnit"
          label={pieceForm.unit}
          refused={refused}
          value={unit}
          onChange={(event) => setChosenUnit(event.target.value as BeatUnit)}
          select
        >
          {BEAT_UNIT_NAMES.map((name) => (
            <MenuItem key={name} value={name}>
              <BeatUnitGlyph unit={name} />
              &ensp;{words.beatUnit[name]}
            </MenuItem>
          ))}
        </Field>
        <Field
          name="markBpm"
          label={pieceForm.mark}
          helper={pieceForm.markHelp}
          refused={refused}
          defaultValue="90"
          type="number"
        />
        <div className={styles.wide} aria-hidden>
          {metre && count > 0 && (
            <BarRibbon
              bars={count}
              metres={[{ fromBar: 1, metre }]}
              pickupBeats={Math.min(metre.beats - 1, Math.max(0, Math.floor(Number(pickup)) || 0))}
            />
          )}
        </div>
        <Button type="submit" variant="contained">
          {pieceForm.submit}
        </Button>
      </Form>
    </Page>
  );
}
