import MenuItem from "@mui/material/MenuItem";
import { useEffect } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { ChooseStudents } from "~/components/choose-students";
import type { Refused } from "~/components/field";
import { FormDayField } from "~/components/form-day-field";
import { FormField } from "~/components/form-field";
import { SentForm, type Typed } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import { addDays, type Day } from "~/core/units";
import { BRINGS, ITEM_KINDS } from "~/core/week";
import { groupItemFormSchema } from "~/forms/group";
import { words } from "~/words";
import type { GroupItemTold } from "~/core/week";
import { groupWords } from "~/words/groups";
import { planWords } from "~/words/plan";
import styles from "./group.module.css";
import type { GroupPiece, Student } from "./group-shapes";

const { item: said } = groupWords;
const { fields } = said;

/** What is chosen is said, also where it is nothing. */
const SHOWN_EMPTY = { select: { displayEmpty: true }, inputLabel: { shrink: true } };

interface ItemFormProps {
  readonly id: string;
  readonly item: GroupItemTold | undefined;
  readonly today: Day;
  readonly pieces: readonly GroupPiece[];
  readonly ladders: readonly { readonly id: string; readonly name: string }[];
  readonly members: readonly Student[];
  /** Whom it is for. */
  readonly chosen: readonly string[];
  readonly refused: Refused | undefined;
}

function valuesOf(item: GroupItemTold | undefined, id: string, today: Day): Typed {
  if (!item) {
    const empty = { title: "", focus: "", note: "", pieceId: "", fromBar: "", toBar: "" };
    const usual = { kind: "piece", times: "5", minutes: "10", bring: "nothing" };
    return {
      id,
      ...empty,
      ...usual,
      target: "",
      keptLadderId: "",
      recordRun: "",
      until: addDays(today, 7),
    };
  }
  const { asked, until } = item;
  const { kind, title, focus, note, bring, minutes, often, music } = asked;
  return {
    ...{ id, kind, title, focus, note, bring, until },
    minutes: String(minutes),
    times: String(often.kind === "times" ? often.times : often.kind === "daily" ? 7 : 4),
    pieceId: music?.pieceId ?? "",
    fromBar: music ? String(music.fromBar) : "",
    toBar: music ? String(music.toBar) : "",
    target: music ? String(music.target) : "",
    keptLadderId: music?.keptLadderId ?? "",
    recordRun: String(asked.recordRun ?? ""),
  };
}

/** What is asked of the group: bars of a piece up to a tempo, or something to do. */
export function ItemForm(props: ItemFormProps) {
  const { id, item, today, members, chosen, refused } = props;
  return (
    <SentForm
      schema={groupItemFormSchema}
      values={valuesOf(item, id, today)}
      refused={refused}
      className={styles.form}
    >
      <input type="hidden" name="id" value={id} />
      <Fields {...props} />
      <ChooseStudents
        name="member"
        label={fields.who}
        students={members.map((each) => ({ ...each, groups: [] }))}
        chosen={chosen}
        error={refused?.errors.member}
      />
      <SubmitButton variant="contained">
        {item ? said.change_ : said.save(members.length)}
      </SubmitButton>
    </SentForm>
  );
}

function Fields({ today, pieces, ladders }: ItemFormProps) {
  const pieceId = useWatch<Typed, "pieceId">({ name: "pieceId" });
  const piece = pieces.find(({ id }) => id === pieceId);
  useNameOfBars(piece);
  return (
    <>
      <FormField
        size="small"
        name="pieceId"
        select
        label={fields.piece}
        slotProps={SHOWN_EMPTY}
        className={styles.half!}
      >
        <MenuItem value="">{fields.noPiece}</MenuItem>
        {pieces.map(({ id, title }) => (
          <MenuItem key={id} value={id}>
            {title}
          </MenuItem>
        ))}
      </FormField>
      {piece && (
        <>
          <FormField size="small" name="fromBar" type="number" label={fields.fromBar} />
          <FormField size="small" name="toBar" type="number" label={fields.toBar} />
          <FormField size="small" name="target" type="number" label={fields.target} />
          <FormField
            size="small"
            name="keptLadderId"
            select
            label={fields.ladder}
            slotProps={SHOWN_EMPTY}
          >
            <MenuItem value="">{fields.evenSteps}</MenuItem>
            {ladders.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </FormField>
          <FormField
            size="small"
            name="recordRun"
            type="number"
            label={planWords.lesson.recordRun}
          />
        </>
      )}
      <FormField size="small" name="title" label={fields.name} className={styles.half!} />
      <FormField size="small" name="focus" label={fields.focus} className={styles.half!} />
      <FormField size="small" name="times" type="number" label={fields.times} />
      <FormField size="small" name="minutes" type="number" label={fields.minutes} />
      <FormField size="small" name="kind" select label={fields.kind}>
        {ITEM_KINDS.map((each) => (
          <MenuItem key={each} value={each}>
            {planWords.item.kinds[each]}
          </MenuItem>
        ))}
      </FormField>
      <FormField size="small" name="bring" select label={fields.bring}>
        {BRINGS.map((each) => (
          <MenuItem key={each} value={each}>
            {planWords.item.bring[each]}
          </MenuItem>
        ))}
      </FormField>
      <FormDayField name="until" label={fields.until} min={addDays(today, 1)} />
      <FormField size="small" name="note" label={fields.note} className={styles.wide!} />
    </>
  );
}

/** As long as nothing else was typed, it is called by its piece and bars; the mark is offered. */
function useNameOfBars(piece: GroupPiece | undefined): void {
  const { setValue, getFieldState, getValues } = useFormContext<Typed>();
  const [fromBar, toBar] = useWatch<Typed, string[]>({ name: ["fromBar", "toBar"] });
  useEffect(() => {
    if (!piece) return;
    if (getValues("toBar") === "") {
      setValue("fromBar", "1");
      setValue("toBar", String(piece.bars));
    }
    if (getValues("target") === "") setValue("target", String(piece.mark.bpm));
    const [from, to] = [Number(fromBar), Number(toBar)];
    const untouched = !getFieldState("title").isDirty;
    const named = getValues("title");
    if (untouched && from > 0 && to >= from && (named === "" || named.includes(piece.title))) {
      setValue("title", `${piece.title}, ${words.bars(from, to)}`);
    }
  }, [piece, fromBar, toBar, setValue, getFieldState, getValues]);
}
