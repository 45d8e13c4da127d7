import { useLayoutEffect, useRef, useState, type ComponentProps } from 'react';
import { Staircase } from './Staircase';

/** A staircase as wide as the place it stands in. */
export function FittedStaircase(props: Omit<ComponentProps<typeof Staircase>, 'width'>) {
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
    <div ref={place} style={{ height: props.height }}>
      {width > 0 && <Staircase {...props} width={width} />}
    </div>
  );
}
