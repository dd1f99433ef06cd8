import { useId, useState } from "react";
import styles from "./take.module.css";

/** Made here, so that what is sent twice is kept once. */
export function useNewId(): string {
  const [id] = useState(() => crypto.randomUUID());
  return id;
}

interface LineProps {
  readonly id?: string | undefined;
  readonly name: string;
  readonly label: string;
  readonly most: number;
}

/** A line of text in one of the forms about a take. */
export function Line({ id: given, name, label, most }: LineProps) {
  const own = useId();
  const id = given ?? own;
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <input id={id} name={name} maxLength={most} />
    </div>
  );
}
