import type { ComponentProps, ReactNode } from "react";
import styles from "./press.module.css";

interface Look {
  /** Plain without it. */
  readonly kind?: "outlined" | "filled" | undefined;
  readonly size?: "small" | "large" | "square" | undefined;
  readonly tone?: "madder" | undefined;
}

/** The look of what is pressed, for a link that looks like it. */
export const pressLook = ({ kind, size, tone }: Look, more?: string): string =>
  [styles.press, kind && styles[kind], size && styles[size], tone && styles[tone], more]
    .filter(Boolean)
    .join(" ");

interface PressProps extends Look, ComponentProps<"button"> {
  /** Drawn before the words. */
  readonly icon?: ReactNode;
}

/** What is pressed at the stand: a button without the weight of the interface library. */
export function Press({ kind, size, tone, icon, className, children, ...button }: PressProps) {
  return (
    <button type="button" {...button} className={pressLook({ kind, size, tone }, className)}>
      {icon}
      {children}
    </button>
  );
}
