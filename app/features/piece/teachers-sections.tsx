import { GiveForm } from "~/components/give-form";
import { Section } from "~/components/page";
import { printedInScore, printedOnPaper, type PrintedBegins } from "~/core/score";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { ExerciseForm } from "./exercise-form";
import { MemoryForm } from "./memory-form";
import type { PiecePageProps } from "./piece-page-props";
import { StagesForm } from "./stages-form";

/** What only the teacher of the piece decides. */
export default function TeachersSections(props: PiecePageProps) {
  const { piece, passages, refused } = props;
  return (
    <>
      <Section title={words.piece.stages}>
        <StagesForm stages={props.stages} />
      </Section>
      {props.others.length > 0 && passages.length > 0 && (
        <Section title={words.piece.give}>
          <GiveForm
            how={words.piece.giveHow}
            others={props.others}
            refused={refused}
            given={props.given}
          />
        </Section>
      )}
      {passages.length > 0 && (
        <Section title={words.piece.exercise}>
          <ExerciseForm title={piece.title} refused={refused} kept={props.kept} />
        </Section>
      )}
      <Section title={planWords.week.memory}>
        <MemoryForm
          key={props.memory?.plan.concert}
          bars={piece.bars}
          printed={printedOf(props)}
          today={props.today}
          concert={props.concert}
          memory={props.memory}
          refused={refused}
        />
      </Section>
    </>
  );
}

function printedOf({ notation, paper, piece }: PiecePageProps): PrintedBegins {
  if (notation) return printedInScore(notation.score);
  return printedOnPaper(paper?.layout ?? [], piece.pickupBeats > 0 ? 0 : 1);
}
