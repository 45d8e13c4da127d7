import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** Draws something as wide as the place it stands in; the place keeps its height from the start. */
export function Fitted({ height, children }: { height?: number; children: (width: number) => ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = place.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={place} style={{ minHeight: height }}>
      {width > 0 && children(width)}
    </div>
  );
}
