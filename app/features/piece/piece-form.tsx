import MenuItem from "@mui/material/MenuItem";
import Typography from "@mui/material/Typography";
import { useFormContext, useWatch } from "react-hook-form";
import { Link } from "react-router";
import { BarRibbon } from "~/components/bar-ribbon";
import { BeatUnitGlyph } from "~/components/beat-unit";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { Page, Section } from "~/components/page";
import { SentForm, type Typed } from "~/components/sent-form";
import { MOST_BARS, usualBeatUnit, type MetreRegion } from "~/core/score";
import { BEAT_UNIT_NAMES, formatMetre, parseMetre, type BeatUnit } from "~/core/units";
import { SubmitButton } from "~/components/submit-button";
import { pieceFormSchema } from "~/forms/piece";
import { words } from "~/words";
import { exerciseWords } from "~/words/exercise";
import { notationWords } from "~/words/notation";
import { FileForm } from "./file-form";
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
function valuesOf(piece: PieceShown | undefined): Typed {
  if (!piece) {
    const empty = { title: "", origin: "", kind: "piece", changes: "", markUnit: "quarter" };
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
    markUnit: piece.markUnit,
  };
}

/** A piece, new or changed: what it is, and its bars, drawn as they are typed. */
export function PieceForm({ studioId, person, refused, piece }: PieceFormProps) {
  return (
    <Page
      title={piece ? pieceForm.editTitle : pieceForm.title}
      lead={pieceForm.lead(person.name)}
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
    >
      {!piece && (
        <>
          <Section title={notationWords.fromFile}>
            <FileForm refused={refused} submit={notationWords.open} />
            <p>
              <Link to={`/studio/${studioId}/students/${person.id}/exercise`}>
                {exerciseWords.open}
              </Link>
            </p>
          </Section>
          <div className={styles.byHand}>
            <Typography variant="h2">{notationWords.byHand}</Typography>
          </div>
        </>
      )}
      <SentForm
        schema={pieceFormSchema}
        values={valuesOf(piece)}
        refused={refused}
        className={styles.form}
      >
        <FormField name="title" label={pieceForm.name} className={styles.wide!} />
        <FormField name="origin" label={pieceForm.origin} className={styles.half!} />
        <FormField name="kind" label={pieceForm.kind} select className={styles.half!}>
          {Object.entries(pieceForm.kinds).map(([value, label]) => (
            <MenuItem key={value} value={value}>
              {label}
            </MenuItem>
          ))}
        </FormField>
        <BarFields />
        <FormField
          name="markBpm"
          label={pieceForm.mark}
          helper={pieceForm.markHelp}
          type="number"
        />
        <BarsDrawn />
        <SubmitButton variant="contained">{piece ? pieceForm.save : pieceForm.submit}</SubmitButton>
      </SentForm>
    </Page>
  );
}

/** Bars and metre; the beat unit follows the metre until it is chosen. */
function BarFields() {
  const { setValue, getFieldState } = useFormContext<Typed>();
  const follow = (metreText: string) => {
    const metre = parseMetre(metreText);
    if (metre && !getFieldState("markUnit").isDirty) {
      setValue("markUnit", usualBeatUnit(metre));
    }
  };
  return (
    <>
      <FormField
        name="bars"
        label={pieceForm.bars}
        type="number"
        slotProps={{ htmlInput: { min: 1, max: MOST_BARS } }}
      />
      <FormField
        name="metre"
        label={pieceForm.metre}
        helper={pieceForm.metreHelp}
        onChange={({ target }) => follow(target.value)}
      />
      <FormField
        name="pickupBeats"
        label={pieceForm.pickup}
        type="number"
        slotProps={{ htmlInput: { min: 0 } }}
      />
      <FormField name="changes" label={pieceForm.changes} helper={pieceForm.changesHelp} />
      <FormField name="markUnit" label={pieceForm.unit} select>
        {BEAT_UNIT_NAMES.map((name) => (
          <MenuItem key={name} value={name}>
            <BeatUnitGlyph unit={name} />
            &ensp;{words.beatUnit[name]}
          </MenuItem>
        ))}
      </FormField>
    </>
  );
}

function BarsDrawn() {
  const [bars, metreText, pickup] = useWatch<Typed, string[]>({
    name: ["bars", "metre", "pickupBeats"],
  });
  const metre = parseMetre(metreText ?? "");
  const count = Math.min(MOST_PREVIEWED, Math.max(0, Math.floor(Number(bars)) || 0));
  return (
    <div className={styles.wide} aria-hidden>
      {metre && count > 0 && (
        <BarRibbon
          bars={count}
          metres={[{ fromBar: 1, metre }]}
          pickupBeats={Math.min(metre.beats - 1, Math.max(0, Math.floor(Number(pickup)) || 0))}
        />
      )}
    </div>
  );
}
