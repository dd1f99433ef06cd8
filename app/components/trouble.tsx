import { isRouteErrorResponse } from "react-router";
import { words } from "~/words/stand-words";
import { pressLook } from "./press";
import styles from "./trouble.module.css";

function told(error: unknown): { title: string; sentence: string } {
  if (isRouteErrorResponse(error)) {
    const data: unknown = error.data;
    const sentence =
      typeof data === "object" && data !== null && "sentence" in data
        ? String(data.sentence)
        : words.trouble.nothingHere;
    return { title: words.trouble.title(error.status), sentence };
  }
  // Unknown errors reach the page as the sentence with their id in the log, nothing else.
  const message = error instanceof Error ? error.message : "";
  return { title: words.trouble.title(500), sentence: message || words.trouble.unknown };
}

/** A page for when something can't be shown. */
export function Trouble({ error }: { error: unknown }) {
  const { title, sentence } = told(error);
  return (
    <main className={styles.page}>
      <title>{words.title(title)}</title>
      <h1>{title}</h1>
      <p>{sentence}</p>
      <a href="/" className={pressLook({ kind: "filled" })}>
        {words.trouble.home}
      </a>
    </main>
  );
}
