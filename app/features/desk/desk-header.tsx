import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import { LogOut, Moon, Sun } from "lucide-react";
import { Form, Link, NavLink } from "react-router";
import { useScheme } from "~/components/scheme";
import { words } from "~/words";
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
  return (
    <header className={styles.header}>
      <a className={styles.skip} href="#main">
        {words.desk.skip}
      </a>
      <Link className={styles.room} to="/">
        <Mark />
        {room.name}
      </Link>
      <nav aria-label={words.desk.nav}>
        {teaches && (
          <>
            <NavLink end to={home}>
              {words.desk.week}
            </NavLink>
            <NavLink to={`${home}/library`}>{words.library.title}</NavLink>
          </>
        )}
        {own && !looksOnly && (
          <NavLink to={`${own}/today`}>{teaches ? words.desk.me : words.desk.today}</NavLink>
        )}
        {own && !teaches && (
          <>
            <NavLink to={`${own}/week`}>{looksOnly ? words.desk.week : words.desk.myWeek}</NavLink>
            <NavLink end to={own}>
              {words.desk.pieces}
            </NavLink>
            <NavLink to={`${own}/log`}>{words.desk.log}</NavLink>
          </>
        )}
        {!looksOnly && <NavLink to="/sound">{words.desk.sound}</NavLink>}
      </nav>
      <div className={styles.self}>
        <IconButton onClick={toggle} aria-label={dark ? words.scheme.light : words.scheme.dark}>
          {dark ? <Sun size={20} /> : <Moon size={20} />}
        </IconButton>
        <Form method="post" action="/sign-out" className={styles.out}>
          <Button
            type="submit"
            size="small"
            color="inherit"
            endIcon={<LogOut size={18} />}
            aria-label={words.desk.signOut(name)}
          >
            {name}
          </Button>
        </Form>
      </div>
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
