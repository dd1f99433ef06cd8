import { useFormats } from "~/components/locale";
import type { Day } from "~/core/units";
import { words } from "~/words";
import styles from "./progress.module.css";

interface KeyRecord {
  readonly key: string;
  readonly plays: number;
  readonly clean: number;
  /** The highest tempo of a clean play of the whole. */
  readonly fastest: number | null;
  /** As of today, in this key. */
  readonly comfortable: number | null;
  readonly last: Day;
}

/** What was played in each key, where a week's keys go round. */
export function KeyRows({ keys }: { readonly keys: readonly KeyRecord[] }) {
  const formats = useFormats();
  const said = words.progress;
  return (
    <table className={styles.keys}>
      <thead>
        <tr>
          <th scope="col">{said.key}</th>
          <th scope="col">{words.capital(said.comfortable)}</th>
          <th scope="col">{said.fastest}</th>
          <th scope="col">{said.clean}</th>
          <th scope="col">{said.last}</th>
        </tr>
      </thead>
      <tbody>
        {keys.map(({ key, plays, clean, comfortable, fastest, last }) => (
          <tr key={key}>
            <th scope="row">{key}</th>
            <td>{comfortable === null ? "–" : words.bpm(Math.round(comfortable))}</td>
            <td>{fastest === null ? "–" : words.bpm(fastest)}</td>
            <td>{words.cleanOf(clean, plays)}</td>
            <td>{formats.longDay(last)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
