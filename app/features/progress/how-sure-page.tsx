import { Page, Section } from "~/components/page";
import { howSureWords as said } from "~/words/how-sure";
import styles from "./progress.module.css";

/** What estimates and chances are worth, in plain words. */
export function HowSurePage({ home }: { readonly home: { to: string; label: string } }) {
  return (
    <Page title={said.title} lead={said.lead} back={home}>
      {said.parts.map(({ title, points }) => (
        <Section key={title} title={title}>
          <ul className={styles.points}>
            {points.map((point) => (
              <li key={point}>{point}</li>
            ))}
          </ul>
        </Section>
      ))}
    </Page>
  );
}
