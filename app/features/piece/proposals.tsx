import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { useFetcher } from "react-router";
import { Section } from "~/components/page";
import type { BarRange } from "~/components/use-bar-selection";
import { proposePassages, type BarMarks, type Proposal } from "~/core/score";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import type { PiecePageProps } from "./piece-page-props";
import styles from "./trouble.module.css";

interface ProposalsProps {
  readonly marks: BarMarks;
  readonly profile: PiecePageProps["profile"];
  readonly passages: PiecePageProps["passages"];
  readonly onChange: (range: BarRange) => void;
}

const nameOf = ({ fromBar, toBar }: BarRange) => `${fromBar}-${toBar}`;

/** What the marks propose, to be taken, changed or left. */
export function Proposals({ marks, profile, passages, onChange }: ProposalsProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const proposed = useMemo(() => {
    const hardness = Object.fromEntries(profile.map(({ bar, total }) => [bar, total]));
    return proposePassages(marks, hardness, passages);
  }, [marks, profile, passages]);
  const open = proposed.filter((each) => !left.has(nameOf(each)));
  if (open.length === 0) return null;
  return (
    <Section
      title={notationWords.proposals}
      aside={<span className={styles.soft}>{notationWords.proposalsHow}</span>}
    >
      <ul className={styles.proposals}>
        {open.map((proposal) => (
          <ProposalLine
            key={nameOf(proposal)}
            proposal={proposal}
            onChange={() => onChange(proposal)}
            onLeave={() => setLeft(new Set([...left, nameOf(proposal)]))}
          />
        ))}
      </ul>
    </Section>
  );
}

function ProposalLine(props: { proposal: Proposal; onChange: () => void; onLeave: () => void }) {
  const { fromBar, toBar, hardestBar } = props.proposal;
  const fetcher = useFetcher();
  const cut = { fromBar, toBar, pickupBeats: 0, startBeats: 0, endBeats: 0, name: "", focus: "" };
  return (
    <li className={styles.proposal}>
      <strong>{words.capital(words.bars(fromBar, toBar))}</strong>
      {toBar > fromBar && <span className={styles.soft}>{notationWords.hardest(hardestBar)}</span>}
      <fetcher.Form method="post">
        {Object.entries(cut).map(([name, value]) => (
          <input key={name} type="hidden" name={name} value={value} />
        ))}
        <Button
          type="submit"
          name="act"
          value="take"
          variant="outlined"
          size="small"
          disabled={fetcher.state !== "idle"}
        >
          {notationWords.take}
        </Button>
        <Button color="inherit" size="small" onClick={props.onChange}>
          {notationWords.change}
        </Button>
        <Button color="inherit" size="small" onClick={props.onLeave}>
          {notationWords.leave}
        </Button>
      </fetcher.Form>
    </li>
  );
}
