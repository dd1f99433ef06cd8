import type { Refused } from "~/components/field";
import { Page } from "~/components/page";
import type { Day } from "~/core/units";
import type { GroupItemTold, MemberLine } from "~/core/week";
import { groupWords } from "~/words/groups";
import type { GroupPiece } from "./group-shapes";
import { ItemForm } from "./item-form";

const { item: said } = groupWords;

interface SetPageProps {
  readonly studioId: string;
  readonly id: string;
  readonly group: { readonly id: string; readonly name: string };
  readonly today: Day;
  readonly item: GroupItemTold | undefined;
  readonly lines: readonly MemberLine[];
  readonly pieces: readonly GroupPiece[];
  readonly ladders: readonly { readonly id: string; readonly name: string }[];
  readonly refused: Refused | undefined;
}

/** Setting something for a group, or changing it. */
export function SetPage({ studioId, group, item, lines, ...rest }: SetPageProps) {
  const without = (line: MemberLine) =>
    line.items.some(({ itemId, leftOut }) => itemId === item?.id && leftOut === "by-you");
  return (
    <Page
      title={item ? said.change : said.new}
      lead={said.lead}
      back={{ to: `/studio/${studioId}/groups/${group.id}`, label: group.name }}
    >
      <ItemForm
        {...rest}
        item={item}
        members={lines}
        chosen={lines.filter((line) => !without(line)).map(({ id }) => id)}
      />
    </Page>
  );
}
