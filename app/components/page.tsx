import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";
import { Link } from "react-router";
import styles from "./page.module.css";

interface PageProps {
  readonly title: ReactNode;
  /** Where one comes from, above the title. */
  readonly back?: { readonly to: string; readonly label: string } | undefined;
  readonly lead?: ReactNode;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}

/** A page of the desk: title, what can be done, and the rest. */
export function Page({ title, back, lead, actions, children }: PageProps) {
  return (
    <main className={styles.page} id="main">
      <header className={styles.header}>
        <div>
          {back && (
            <Link className={styles.back} to={back.to}>
              ← {back.label}
            </Link>
          )}
          <Typography variant="h1">{title}</Typography>
          {lead && <p className={styles.lead}>{lead}</p>}
        </div>
        {actions && <div className={styles.actions}>{actions}</div>}
      </header>
      {children}
    </main>
  );
}

/** A part of a page under its heading. */
export function Section(props: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <section className={styles.section}>
      <div className={styles.sectionHead}>
        <Typography variant="h2">{props.title}</Typography>
        {props.aside}
      </div>
      {props.children}
    </section>
  );
}

/** What an empty place says: what to do first. */
export function Empty({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <div className={styles.empty}>
      <p>{children}</p>
      {action}
    </div>
  );
}
