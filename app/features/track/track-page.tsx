import Button from "@mui/material/Button";
import { Link } from "react-router";
import { Page } from "~/components/page";
import { rungsFrom } from "~/core/ladder";
import type { Block } from "~/core/session";
import { words } from "~/words";
import { trackWords as said } from "~/words/track";
import { TrackMaker } from "./track-maker";
import type { TrackedPassage } from "./track-request";

export interface TrackPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  /** Passages that have a ladder, as today's session would have them. */
  readonly passages: readonly TrackedPassage[];
  /** All of a session, and not one passage. */
  readonly session: boolean;
  /** Something hurt last time, and nobody has said since that nothing does. */
  readonly hurts: boolean;
}

/** From which tempo a ladder goes to which. */
function tempiOf({ ladder, rungs = [] }: Block): string {
  if (ladder.hidden) return "";
  const all = rungsFrom(rungs, ladder);
  const tempo = (at: number) => words.staircase.tempo(at, ladder.of);
  return `${tempo(all[0]!.tempo)}–${tempo(all.at(-1)!.tempo)}`;
}

/** Today's ladder of a passage, or all of a session, as a file of sound. */
export function TrackPage({ studioId, person, passages, session, hurts }: TrackPageProps) {
  const student = `/studio/${studioId}/students/${person.id}`;
  const back = { to: session ? `${student}/today` : student, label: person.name };
  const [first] = passages;
  if (!first || hurts) {
    return (
      <Page title={said.title} back={back}>
        <p>{first ? said.hurts : said.none}</p>
        {first && (
          <Button component={Link} to={`${student}/today`} variant="contained">
            {words.student.today}
          </Button>
        )}
      </Page>
    );
  }
  const { block, key } = first;
  const tempi = [tempiOf(block), key && words.stand.inKey(key)].filter(Boolean).join(", ");
  const bars = words.bars(block.fromBar, block.toBar);
  const name = `${block.pieceTitle}, ${block.passageName || bars}`;
  const title = session ? said.session : key ? `${name}, ${words.stand.inKey(key)}` : name;
  return (
    <Page
      title={`${said.title}: ${title}`}
      lead={session ? said.leadSession(passages.map((each) => each.block.pieceTitle)) : said.lead}
      back={back}
    >
      <TrackMaker
        passages={passages}
        title={session ? title : `${block.pieceTitle}, ${bars}`}
        tempi={session ? "" : tempi}
        player={person.name}
        listened={`${student}/listened`}
        recording={(id) => `${student}/demonstrations/${id}/sound`}
      />
    </Page>
  );
}
