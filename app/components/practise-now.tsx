import { Play } from "lucide-react";
import { Form } from "react-router";
import { words } from "~/words";
import { SubmitButton } from "./submit-button";

interface PractiseNowProps {
  /** Where the student's pages are. */
  readonly home: string;
  readonly passage: {
    readonly id: string;
    readonly title: string;
    readonly minutes: number | null;
  };
}

const USUAL_MINUTES = 10;

/** One passage alone, at the stand with the next press. */
export function PractiseNow({ home, passage }: PractiseNowProps) {
  const part = {
    kind: "practising",
    minutes: passage.minutes ?? USUAL_MINUTES,
    text: "",
    passageId: passage.id,
    itemId: null,
  };
  return (
    <Form method="post" action={`${home}/today`}>
      <input type="hidden" name="parts" value={JSON.stringify([part])} />
      <SubmitButton
        size="small"
        variant="text"
        startIcon={<Play size={15} />}
        aria-label={words.student.practiseOne(passage.title)}
      >
        {words.student.practiseNow}
      </SubmitButton>
    </Form>
  );
}
