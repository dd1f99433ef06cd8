import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { useFetcher } from "react-router";
import { Field, type Refused } from "~/components/field";
import { isPassageKind, type BlockKind, type ShapeBlock } from "~/core/session";
import { planWords } from "~/words/plan";
import type { KeptShape } from "./today-shapes";
import type { useSession } from "./use-session";
import styles from "./today.module.css";

const { today } = planWords;
const LEAST_SHARE = 0.5;

type Session = Pick<ReturnType<typeof useSession>, "blocks" | "pinned">;

/** The session without its passages: one slot for each kind, as long as it is here. */
function shapeFrom({ blocks, pinned }: Session): ShapeBlock[] {
  const seen = new Set<BlockKind>();
  return blocks.flatMap(({ kind, minutes, span, text, itemId }, index): ShapeBlock[] => {
    if (kind === "break" || itemId || (isPassageKind(kind) && seen.has(kind))) return [];
    seen.add(kind);
    const maximum = Math.max(span.maximum, minutes);
    const minimum = Math.min(span.minimum, Math.max(1, Math.floor(minutes * LEAST_SHARE)));
    return [
      {
        kind,
        span: { minimum, ideal: minutes, maximum },
        priority: Math.min(9, 1 + Math.floor(index / 2)),
        always: kind === "slow-finish" || pinned.includes(kind),
        text,
      },
    ];
  });
}

interface ShapeKeeperProps {
  readonly session: Session;
  readonly shapes: readonly KeptShape[];
  readonly teaches: boolean;
}

/** Keeps this order and these lengths to use again. */
export function ShapeKeeper({ session, shapes, teaches }: ShapeKeeperProps) {
  const fetcher = useFetcher<Refused>();
  const answer = fetcher.data && "errors" in fetcher.data ? fetcher.data : undefined;
  const shape = shapeFrom(session);
  return (
    <div className={styles.keeper}>
      <p className={styles.label}>{today.keepShape}</p>
      <fetcher.Form method="post" action="shapes" className={styles.start} noValidate>
        <input type="hidden" name="act" value="keep" />
        <input type="hidden" name="shape" value={JSON.stringify(shape)} />
        <Field
          key={shapes.length}
          name="name"
          label={today.shapeName}
          refused={answer}
          size="small"
          fullWidth={false}
        />
        {teaches && (
          <FormControlLabel control={<Checkbox name="shared" />} label={today.forEveryone} />
        )}
        <Button type="submit" variant="outlined" disabled={fetcher.state !== "idle"}>
          {today.keep}
        </Button>
        {answer?.errors.form && <p role="alert">{answer.errors.form}</p>}
      </fetcher.Form>
      {shapes
        .filter(({ shared }) => !shared)
        .map(({ id, name }) => (
          <fetcher.Form key={id} method="post" action="shapes">
            <input type="hidden" name="act" value="forget" />
            <input type="hidden" name="id" value={id} />
            <Button type="submit" size="small">
              {today.forget(name)}
            </Button>
          </fetcher.Form>
        ))}
    </div>
  );
}
