import IconButton from "@mui/material/IconButton";
import { Moon, Sun } from "lucide-react";
import { Link, NavLink } from "react-router";
import { useScheme } from "~/components/scheme";
import { useWaiting } from "~/features/keeping/use-waiting";
import { WaitingNote } from "~/features/keeping/waiting-note";
import { words } from "~/words";
import { SignOut } from "./sign-out";
import styles from "./desk-header.module.css";

interface DeskHeaderProps {
  readonly room: { readonly id: string; readonly name: string };
  /** Who is here. */
  readonly name: string;
  readonly teaches: boolean;
  /** Whose practice is one's own, or one's child's. */
  readonly mine: string | undefined;
  readonly looksOnly: boolean;
}

export function DeskHeader({ room, name, teaches, mine, looksOnly }: DeskHeaderProps) {
  const { dark, toggle } = useScheme();
  const home = `/studio/${room.id}`;
  const own = mine && `${home}/students/${mine}`;
  const { waiting, sendAnew } = useWaiting();
  return (
    <>
      <header className={styles.header}>
        <a className={styles.skip} href="#main">
          {words.desk.skip}
        </a>
        <Link className={styles.room} to="/">
          <Mark />
          <span>{room.name}</span>
        </Link>
        <nav aria-label={words.desk.nav}>
          {teaches && (
            <>
              <NavLink end to={home}>
                {words.desk.week}
              </NavLink>
              <NavLink to={`${home}/library`}>{words.library.title}</NavLink>
              <NavLink to={`${home}/room`}>{words.desk.room}</NavLink>
            </>
          )}
          {own && !looksOnly && (
            <NavLink to={`${own}/today`}>{teaches ? words.desk.me : words.desk.today}</NavLink>
          )}
          {own && !teaches && (
            <>
              <NavLink to={`${own}/week`}>
                {looksOnly ? words.desk.week : words.desk.myWeek}
              </NavLink>
              <NavLink end to={own}>
                {words.desk.pieces}
              </NavLink>
              <NavLink to={`${own}/log`}>{words.desk.log}</NavLink>
            </>
          )}
          {!looksOnly && <NavLink to={`${home}/sound`}>{words.desk.sound}</NavLink>}
        </nav>
        <div className={styles.self}>
          <IconButton onClick={toggle} aria-label={dark ? words.scheme.light : words.scheme.dark}>
            {dark ? <Sun size={20} /> : <Moon size={20} />}
          </IconButton>
          <SignOut name={name} onSend={sendAnew} />
        </div>
      </header>
      <WaitingNote waiting={waiting} />
    </>
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
