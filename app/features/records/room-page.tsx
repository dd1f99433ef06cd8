import Button from "@mui/material/Button";
import { Link } from "react-router";
import { Page, Section } from "~/components/page";
import { recordsWords } from "~/words/records";
import { BringIn } from "./bring-in";
import styles from "./records.module.css";

interface RoomPageProps {
  readonly studioId: string;
  readonly empty: boolean;
}

const { room } = recordsWords;

/** What goes out of a room, and comes in. */
export function RoomPage({ studioId, empty }: RoomPageProps) {
  const home = `/studio/${studioId}`;
  return (
    <Page title={room.title} lead={room.lead}>
      <Section title={room.out}>
        <p className={styles.said}>{room.outLead}</p>
        <p className={styles.soft}>{room.outNot}</p>
        <Button href={`${home}/room.zip`} download variant={empty ? "outlined" : "contained"}>
          {room.outDo}
        </Button>
      </Section>
      <Section title={room.table}>
        <p className={styles.said}>{room.tableLead}</p>
        <Button component={Link} to={`${home}/table`} variant="outlined">
          {room.tableDo}
        </Button>
      </Section>
      <Section title={room.in}>
        <BringIn home={home} empty={empty} />
      </Section>
    </Page>
  );
}
