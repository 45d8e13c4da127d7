import { useEffect, useEffectEvent, useRef } from 'react';
import { classes } from '../ui/classes';
import type { Held } from './usePouring';

/** The kettle: Space held, or a press in the field that is pulled down. */
export function HoldToPour({ held, onHeld }: { held: Held; onHeld: (held: Held) => void }) {
  const pressedY = useRef(0);
  const setHeld = useEffectEvent(onHeld);
  useEffect(() => {
    const onDown = (event: KeyboardEvent) => {
      if (event.key !== ' ' || (event.target instanceof HTMLElement && event.target.matches('select, input')))
        return;
      event.preventDefault();
      if (!event.repeat) setHeld({ by: 'key' });
    };
    const onUp = (event: KeyboardEvent) => {
      if (event.key === ' ') setHeld(null);
    };
    const onBlur = () => setHeld(null);
    addEventListener('keydown', onDown);
    addEventListener('keyup', onUp);
    addEventListener('blur', onBlur);
    return () => {
      removeEventListener('keydown', onDown);
      removeEventListener('keyup', onUp);
      removeEventListener('blur', onBlur);
    };
  }, []);
  return (
    <div
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        pressedY.current = event.clientY;
        onHeld({ by: 'pointer', distancePx: 0 });
      }}
      onPointerMove={(event) => {
        if (held?.by !== 'pointer') return;
        onHeld({ by: 'pointer', distancePx: Math.max(0, event.clientY - pressedY.current) });
      }}
      onPointerUp={() => onHeld(null)}
      onPointerCancel={() => onHeld(null)}
      className={classes(
        'grid h-64 cursor-ns-resize touch-none place-items-center border-2 text-large select-none',
        held ? 'border-water bg-water/10' : 'border-edge bg-raised',
      )}
    >
      {held ? 'pouring' : 'hold Space, or press here and pull down'}
    </div>
  );
}
