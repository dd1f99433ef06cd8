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

/** Who has not got it, or not as it is now, and why; who gets more than fits. */
function told(lines: readonly MemberLine[], itemId: string): { name: string; why: string }[] {
  return lines.flatMap(({ name, items, tooMuch }) => {
    const of = items.find((each) => each.itemId === itemId);
    if (of?.leftOut) return [{ name, why: said.leftOut[of.leftOut] }];
    if (!of || of.state === "left-out") return [{ name, why: said.notBrought }];
    if (of.keptTheirs) return [{ name, why: said.kept }];
    return tooMuch ? [{ name, why: board.tooMuch(tooMuch.asked, tooMuch.there) }] : [];
  });
}

/** An item that is set for the group: what is asked, and how it came to each. */
export function ItemSet({ number, item, lines, pieces, here }: ItemSetProps) {
  const formats = useFormats();
  const { asked, until } = item;
  const { music } = asked;
  const piece = music && pieces.find(({ id }) => id === music.pieceId);
  const have = lines.filter(({ items }) =>
    items.some(({ itemId, state }) => itemId === item.id && state !== "left-out"),
  ).length;
  const why = told(lines, item.id);
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
        {why.length > 0 && (
          <ul className={styles.why}>
            {why.map(({ name, why: because }) => (
              <li key={name}>
                <strong>{name}</strong>: {because}
              </li>
            ))}
          </ul>
        )}
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
