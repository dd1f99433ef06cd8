import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import { Form, Link } from "react-router";
import { Field, type Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { RatingScale } from "~/core/week";
import { recordsWords } from "~/words/records";
import { BackupSection, type BackupsTold } from "./backup-section";
import { BringIn } from "./bring-in";
import { RatingScaleForm } from "./rating-scale";
import { WithRecordings } from "./with-recordings";
import styles from "./records.module.css";

/** How long takes are kept: so many days, and what was handed in until the end of a month. */
interface TakesKept {
  readonly days: number;
  readonly yearEnds: number;
}

const MONTHS = Array.from({ length: 12 }, (_, n) => n + 1);

interface RoomPageProps {
  readonly studioId: string;
  readonly empty: boolean;
  readonly takes: TakesKept;
  readonly refused: Refused | undefined;
  /** What was kept just now. */
  readonly kept: "days" | "ratings" | "backup" | undefined;
  readonly backups: BackupsTold;
  readonly scale: RatingScale;
  /** What the recordings of the room take up. */
  readonly soundBytes: number;
}

const { room } = recordsWords;

/** What goes out of a room, and comes in. */
export function RoomPage(props: RoomPageProps) {
  const { studioId, empty, takes, refused, kept, scale } = props;
  const { monthOf } = useFormats();
  const home = `/studio/${studioId}`;
  return (
    <Page title={room.title} lead={room.lead}>
      <Section title={room.out}>
        <p className={styles.said}>{room.outLead}</p>
        <p className={styles.soft}>{room.outNot}</p>
        <div className={styles.exports}>
          <Button href={`${home}/room.zip`} download variant={empty ? "outlined" : "contained"}>
            {room.outDo}
          </Button>
          <WithRecordings href={`${home}/room.zip`} bytes={props.soundBytes} />
        </div>
      </Section>
      <Section title={room.table}>
        <p className={styles.said}>{room.tableLead}</p>
        <Button component={Link} to={`${home}/table`} variant="outlined">
          {room.tableDo}
        </Button>
      </Section>
      <Section title={room.takes}>
        <Form method="post" className={styles.takes} noValidate>
          <Field
            name="days"
            sx={{ width: 220 }}
            type="number"
            label={room.takesDays}
            defaultValue={String(takes.days)}
            refused={refused}
          />
          <Field
            name="year-ends"
            sx={{ width: 220 }}
            select
            label={room.yearEnds}
            defaultValue={String(takes.yearEnds)}
            refused={refused}
          >
            {MONTHS.map((month) => (
              <MenuItem key={month} value={String(month)}>
                {monthOf(month)}
              </MenuItem>
            ))}
          </Field>
          <SubmitButton variant="outlined">{room.takesKeep}</SubmitButton>
          {kept === "days" && <span role="status">{room.takesKept}</span>}
        </Form>
        <p className={styles.soft}>{room.takesLead}</p>
      </Section>
      <Section title={room.ratings.title}>
        <RatingScaleForm scale={scale} refused={refused} kept={kept === "ratings"} />
      </Section>
      <BackupSection {...props.backups} taken={kept === "backup"} />
      <Section title={room.in}>
        <BringIn home={home} empty={empty} />
      </Section>
    </Page>
  );
}
