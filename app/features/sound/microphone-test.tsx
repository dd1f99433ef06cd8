import Button from "@mui/material/Button";
import { useState } from "react";
import type { Listened } from "./listen-shortly";
import { words } from "~/words";
import styles from "./sound.module.css";

const { sound } = words;

/** Listens for a moment and says whether anything was heard. */
export function MicrophoneTest() {
  const [told, setTold] = useState<Listened | "listening">();
  const listen = async () => {
    setTold("listening");
    const { listenShortly } = await import("./listen-shortly");
    setTold(await listenShortly().catch(() => "busy" as const));
  };
  return (
    <>
      <Button variant="outlined" disabled={told === "listening"} onClick={() => void listen()}>
        {told === "listening" ? sound.running : sound.testMicrophone}
      </Button>
      <p className={styles.told} role="status">
        {told && told !== "listening" ? sound.heard[told] : sound.microphoneHow}
      </p>
    </>
  );
}
