import { useEffect, useState, type RefObject } from "react";

/** How far outside the window something still counts as near. */
const MARGIN = "900px 0px";

/** Whether an element is in sight or nearly so. */
export function useNear(ref: RefObject<HTMLElement | null>): boolean {
  const [near, setNear] = useState(false);
  useEffect(() => {
    if (!ref.current) return;
    const observer = new IntersectionObserver(
      ([entry]) => setNear(entry?.isIntersecting ?? false),
      {
        rootMargin: MARGIN,
      },
    );
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, [ref]);
  return near;
}
