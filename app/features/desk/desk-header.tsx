import IconButton from "@mui/material/IconButton";
import { Moon, Sun } from "lucide-react";
import { Link, NavLink } from "react-router";
import { useScheme } from "~/components/scheme";
import { words } from "~/words";
import styles from "./desk-header.module.css";

export function DeskHeader({ room }: { room: { id: string; name: string } }) {
  const { dark, toggle } = useScheme();
  return (
    <header className={styles.header}>
      <a className={styles.skip} href="#main">
        {words.desk.skip}
      </a>
      <Link className={styles.room} to={`/studio/${room.id}`}>
        <Mark />
        {room.name}
      </Link>
      <nav aria-label={words.desk.nav}>
        <NavLink end to={`/studio/${room.id}`}>
          {words.desk.week}
        </NavLink>
        <NavLink to={`/studio/${room.id}/library`}>{words.library.title}</NavLink>
        <NavLink to="/sound">{words.desk.sound}</NavLink>
      </nav>
      <IconButton onClick={toggle} aria-label={dark ? words.desk.light : words.desk.dark}>
        {dark ? <Sun size={20} /> : <Moon size={20} />}
      </IconButton>
    </header>
  );
}

/** Our mark: three rungs, the last one held. */
function Mark() {
  return (
    <svg viewBox="0 0 28 24" width="28" height="24" aria-hidden fill="currentColor">
      <rect x="1" y="18" width="9" height="3.4" rx="0.6" />
      <rect x="10" y="11" width="9" height="3.4" rx="0.6" />
      <rect x="19" y="4" width="9" height="3.4" rx="0.6" className={styles.held} />
    </svg>
  );
}
