import { Form } from "react-router";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";

/** A short tune of our own, for trying things out. */
const DEMO_PIECE = {
  title: "The Ferry at Low Water",
  origin: "demo piece",
  kind: "piece",
  bars: "24",
  metre: "3/4",
  changes: "17 2/4, 19 3/4",
  pickupBeats: "1",
  markBpm: "96",
  markUnit: "quarter",
};

/** Adds the demo piece by the same form that any piece is added with. */
export function DemoPieceButton({ to }: { to: string }) {
  return (
    <Form method="post" action={to}>
      {Object.entries(DEMO_PIECE).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <SubmitButton variant="outlined">{words.student.demoPiece}</SubmitButton>
    </Form>
  );
}
