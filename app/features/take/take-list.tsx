import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { words } from "~/words";
import { listenWords as said } from "~/words/listen";
import type { TakeOfList } from "./take-shapes";
import styles from "./take.module.css";

/** Takes, each a way to listen to it. */
export function TakeList(props: { studioId: string; takes: readonly TakeOfList[] }) {
  const formats = useFormats();
  return (
    <ul className={styles.list}>
      {props.takes.map(({ id, at, tempo, seconds, fromBar, toBar }) => (
        <li key={id}>
          <Link to={`/studio/${props.studioId}/recordings/${id}`}>
            {words.capital(words.bars(fromBar, toBar))},{" "}
            {said.line(formats.tenth(tempo), Math.round(seconds))}
          </Link>
          <span className={styles.soft}>{formats.moment(at)}</span>
        </li>
      ))}
    </ul>
  );
}
