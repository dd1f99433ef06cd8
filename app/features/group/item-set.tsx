import Button from "@mui/material/Button";
import { Form, Link } from "react-router";
import { useFormats } from "~/components/locale";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import type { GroupItemTold, MemberLine } from "~/core/week";
import { groupWords } from "~/words/groups";
import { planWords } from "~/words/plan";
import type { GroupPiece } from "./group-shapes";
import styles from "./group.module.css";

const { item: said, board } = groupWords;

interface ItemSetProps {
  /** Its place on the board. */
  readonly number: number;
  readonly item: GroupItemTold;
  readonly lines: readonly MemberLine[];
  readonly pieces: readonly GroupPiece[];
  readonly here: string;
}

interface Apart {
  readonly kind: "has" | "short" | "own" | "out";
  readonly name: string;
  /** Why, or how much is too much. */
  readonly because?: string;
}

/** How it came to a member: they have it, are short of time for it, kept their own, or were left out. */
function apart({ name, items, tooMuch }: MemberLine, itemId: string): Apart {
  const of = items.find((each) => each.itemId === itemId);
  if (of?.leftOut) return { kind: "out", name, because: said.leftOut[of.leftOut] };
  if (!of || of.state === "left-out") return { kind: "out", name, because: said.notBrought };
  if (tooMuch) {
    const because = board.tooMuch(tooMuch.asked, tooMuch.there);
    return { kind: "short", name, because };
  }
  return { kind: of.keptTheirs ? "own" : "has", name };
}

const KINDS = ["has", "short", "own", "out"] as const;

/** An item that is set for the group: what is asked, and how it came to each. */
export function ItemSet({ number, item, lines, pieces, here }: ItemSetProps) {
  const formats = useFormats();
  const { asked, until } = item;
  const { music } = asked;
  const piece = music && pieces.find(({ id }) => id === music.pieceId);
  const members = lines.map((line) => apart(line, item.id));
  const have = members.filter(({ kind }) => kind !== "out").length;
  return (
    <li className={styles.itemSet}>
      <div>
        <h3>
          {number}. {asked.title}
        </h3>
        <p>
          {[
            music &&
              said.bars(piece?.title ?? "", words.bars(music.fromBar, music.toBar), music.target),
            !music && planWords.item.kinds[asked.kind],
            asked.focus,
            words.minutes(asked.minutes),
            asked.recordRun !== null && planWords.today.recordRun(asked.recordRun),
            asked.bring !== "nothing" &&
              `${said.fields.bring}: ${planWords.item.bring[asked.bring]}`,
            said.until(formats.longDay(until)),
          ]
            .filter(Boolean)
            .join(" · ")}
        </p>
        <p className={styles.soft}>{said.has(have, lines.length)}</p>
        <ul className={styles.why}>
          {KINDS.map((kind) => {
            const these = members.filter((each) => each.kind === kind);
            if (these.length === 0) return null;
            return (
              <li key={kind}>
                <strong>{said.apart[kind]}:</strong>{" "}
                {these
                  .map(({ name, because }) => (because ? `${name} (${because})` : name))
                  .join(", ")}
              </li>
            );
          })}
        </ul>
      </div>
      <Form method="post" className={styles.itemActs}>
        <Button component={Link} to={`${here}/set?item=${item.id}`} variant="outlined">
          {said.edit}
        </Button>
        <SubmitButton name="take-back" value={item.id} variant="text">
          {said.takeBack}
        </SubmitButton>
      </Form>
    </li>
  );
}
