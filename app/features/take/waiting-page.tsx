import Button from "@mui/material/Button";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import type { Day } from "~/core/units";
import type { WaitingOrder } from "~/forms/waiting";
import { listenWords } from "~/words/listen";
import styles from "./take.module.css";

const { handIn: said } = listenWords;

interface WaitingPageProps {
  readonly studioId: string;
  /** Which come first. */
  readonly order: WaitingOrder;
  readonly waiting: readonly {
    readonly takeId: string;
    readonly name: string;
    readonly title: string;
    readonly line: string;
    readonly late: boolean;
    readonly at: Date;
  }[];
  /** What was not handed in by its day. */
  readonly missing: readonly {
    readonly id: string;
    readonly personId: string;
    readonly name: string;
    readonly title: string;
    readonly due: Day;
  }[];
}

/** Takes that were handed in and wait to be heard. */
export function WaitingPage({ studioId, order, waiting, missing }: WaitingPageProps) {
  const formats = useFormats();
  const [first] = waiting;
  const asked = order === "newest" ? "?order=newest" : "";
  const to = (takeId: string) => `/studio/${studioId}/recordings/${takeId}${asked}`;
  return (
    <Page
      title={said.desk}
      lead={said.deskLead(waiting.length, order)}
      back={{ to: `/studio/${studioId}`, label: said.week }}
      actions={
        first && (
          <>
            {waiting.length > 1 && (
              <Button component={Link} to={order === "newest" ? "?" : "?order=newest"}>
                {said.otherOrder[order]}
              </Button>
            )}
            <Button component={Link} to={to(first.takeId)} variant="contained">
              {said.begin}
            </Button>
          </>
        )
      }
    >
      {waiting.length === 0 ? (
        <Empty>{said.none}</Empty>
      ) : (
        <ol className={styles.list}>
          {waiting.map(({ takeId, name, title, line, late, at }) => (
            <li key={takeId}>
              <Link to={to(takeId)}>
                {name}: {title}
              </Link>
              <span className={styles.soft}>
                {formats.moment(at)}
                {late && ` · ${said.late}`}
                {line && ` · “${line}”`}
              </span>
            </li>
          ))}
        </ol>
      )}
      {missing.length > 0 && (
        <Section title={said.missing}>
          <ul className={styles.list}>
            {missing.map(({ id, personId, name, title, due }) => (
              <li key={id}>
                <Link to={`/studio/${studioId}/students/${personId}/week`}>
                  {name}: {title}
                </Link>
                <span className={styles.soft}>{said.missingSince(formats.longDay(due))}</span>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </Page>
  );
}
