import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { words } from "~/words";
import styles from "./room.module.css";

export function RoomChoice({ rooms }: { rooms: readonly { id: string; name: string }[] }) {
  return (
    <main className={styles.page}>
      <Typography variant="h1">{words.chooseRoom}</Typography>
      <ul className={styles.rooms}>
        {rooms.map(({ id, name }) => (
          <li key={id}>
            <Link to={`/studio/${id}`}>{name}</Link>
          </li>
        ))}
      </ul>
    </main>
  );
}
