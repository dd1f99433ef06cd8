import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import styles from "./room.module.css";

const { openRoom } = words;

/** Where no studio may be opened: who can help, and the way in for those who have one. */
export function ClosedDoor({ why }: { readonly why: keyof typeof openRoom.closed }) {
  return (
    <main className={styles.page} id="main">
      <Typography variant="h1">{openRoom.title}</Typography>
      <p className={styles.lead}>{openRoom.closed[why]}</p>
      <Button component={Link} to="/sign-in" variant="contained">
        {accessWords.signIn.title}
      </Button>
    </main>
  );
}
