import Button from "@mui/material/Button";
import { memo } from "react";
import { useFormats } from "~/components/locale";
import type { OfferTold } from "~/workers/client";
import type { Ladder } from "~/core/ladder";
import { words } from "~/words";
import styles from "./workshop.module.css";

interface OffersProps {
  readonly offers: readonly OfferTold[] | undefined;
  /** They answer a ladder that has changed since. */
  readonly stale: boolean;
  readonly onTake: (ladder: Ladder) => void;
}

const { offer: said } = words;
const EVEN_CHANCE = 0.5;

/** What is new in an offered ladder. */
function changeTold({ kind, ladder, rungs }: OfferTold): string {
  switch (kind) {
    case "larger-step":
      return said.rungs(rungs);
    case "lighter-gate":
      return ladder.gate.map(words.gate.told).join(` ${words.and} `);
    case "smaller":
      return ladder.part ? words.bars(ladder.part.fromBar, ladder.part.toBar) : "";
    case "higher":
      return said.start(words.tempoTold(ladder.start, ladder.of));
    case "lower-target":
      return said.target(words.tempoTold(ladder.target, ladder.of));
    case "days":
      return said.days(ladder.days, ladder.minutes);
  }
}

/** What would make it fit, each computed and one press away, the best first. */
export const Offers = memo(function Offers({ offers, stale, onTake }: OffersProps) {
  const formats = useFormats();
  if (!offers || offers.length === 0) return null;
  return (
    <section className={styles.offers}>
      <h2>{offers[0]!.fits >= EVEN_CHANCE ? said.title : said.titleFar}</h2>
      <ul>
        {offers.map((offer) => (
          <li key={offer.kind}>
            <Button variant="outlined" disabled={stale} onClick={() => onTake(offer.ladder)}>
              <strong>{said.kinds[offer.kind]}</strong>
              <span>{changeTold(offer)}</span>
              <span>
                {words.cost.about(words.minutes(offer.minutes))},{" "}
                {said.chance(formats.percent(offer.fits))}
              </span>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
});
