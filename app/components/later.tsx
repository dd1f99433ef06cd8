import { Suspense, useEffect, useRef, type ReactNode } from "react";
import { tellWhatWasTyped } from "./typed-before";

interface LaterProps {
  /** What keeps its place until it is there. */
  readonly fallback: ReactNode;
  readonly children: ReactNode;
}

/** A part of a page that comes alive after the rest, with what was typed in it before. */
export function Later({ fallback, children }: LaterProps) {
  return (
    <Suspense fallback={fallback}>
      <Taken>{children}</Taken>
    </Suspense>
  );
}

function Taken({ children }: { children: ReactNode }) {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => tellWhatWasTyped(ref.current!), []);
  return <div ref={ref}>{children}</div>;
}
