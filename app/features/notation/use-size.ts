import { useEffect, useState, type RefObject } from "react";

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The inner size of an element in CSS px; undefined until it is there. */
export function useSize(ref: RefObject<HTMLElement | null>): Size | undefined {
  const [size, setSize] = useState<Size>();
  useEffect(() => {
    if (!ref.current) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width = 0, height = 0 } = entry?.contentRect ?? {};
      if (width === 0) return;
      setSize((before) =>
        before?.width === width && before.height === height ? before : { width, height },
      );
    });
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
