import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { Form } from "react-router";
import { BarRibbon } from "~/components/bar-ribbon";
import { BeatUnitGlyph } from "~/components/beat-unit";
import { Field, type Refused } from "~/components/field";
import { Page } from "~/components/page";
import { MOST_BARS, usualBeatUnit, type MetreRegion } from "~/core/score";
import { BEAT_UNIT_NAMES, formatMetre, parseMetre, type BeatUnit } from "~/core/units";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import styles from "./piece.module.css";

interface PieceFormProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly refused: Refused | undefined;
  /** The piece to change; a new one without it. */
  readonly piece?: PieceShown;
}

interface PieceShown {
  readonly id: string;
  readonly title: string;
  readonly origin: string;
  readonly kind: string;
  readonly bars: number;
  readonly pickupBeats: number;
  readonly metres: readonly MetreRegion[];
  readonly markBpm: number;
  readonly markUnit: BeatUnit;
}

const { pieceForm } = words;
const MOST_PREVIEWED = 64;

/** What the form begins with. */
function valuesOf(piece: PieceShown | undefined) {
  if (!piece) {
    const empty = { title: "", origin: "", kind: "piece", changes: "" };
    return { ...empty, bars: "16", metre: "4/4", pickupBeats: "0", markBpm: "90" };
  }
  const [opening, ...changes] = piece.metres;
  return {
    title: piece.title,
    origin: piece.origin,
    kind: piece.kind,
    bars: String(piece.bars),
    metre: opening ? formatMetre(opening.metre) : "",
    pickupBeats: String(piece.pickupBeats),
    changes: changes.map(({ fromBar, metre }) => `${fromBar} ${formatMetre(metre)}`).join(", "),
    markBpm: String(piece.markBpm),
  };
}

/** A piece, new or changed: what it is, and its bars, drawn as they are typed. */
export function PieceForm({ studioId, person, refused, piece }: PieceFormProps) {
  const first = valuesOf(piece);
  const [bars, setBars] = useState(refused?.values.bars ?? first.bars);
  const [metreText, setMetreText] = useState(refused?.values.metre ?? first.metre);
  const [pickup, setPickup] = useState(refused?.values.pickupBeats ?? first.pickupBeats);
  const [chosenUnit, setChosenUnit] = useState<BeatUnit | undefined>(piece?.markUnit);
  const metre = parseMetre(metreText);
  const unit = chosenUnit ?? (metre ? usualBeatUnit(metre) : "quarter");
  const count = Math.min(MOST_PREVIEWED, Math.max(0, Math.floor(Number(bars)) || 0));
  return (
    <Page
      title={piece ? pieceForm.editTitle : pieceForm.title}
      lead={pieceForm.lead(person.name)}
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
    >
      <Form method="post" className={styles.form} noValidate>
        <Field
          name="title"
          label={pieceForm.name}
          refused={refused}
          defaultValue={first.title}
          className={styles.wide}
          autoFocus
        />
        <Field
          name="origin"
          label={pieceForm.origin}
          refused={refused}
          defaultValue={first.origin}
          className={styles.half}
        />
        <Field
          name="kind"
          label={pieceForm.kind}
          refused={refused}
          defaultValue={first.kind}
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
          defaultValue={first.changes}
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
          defaultValue={first.markBpm}
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
        <SubmitButton variant="contained">{piece ? pieceForm.save : pieceForm.submit}</SubmitButton>
      </Form>
    </Page>
  );
}
