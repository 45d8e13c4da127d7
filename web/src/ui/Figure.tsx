import type { ReactNode } from 'react';
import { classes } from './classes';

interface FigureProps {
  label: string;
  value: ReactNode;
  /** Uncertainty, written small behind the value. */
  spread?: string;
  unit?: string;
  hue?: string;
  /** Basis, origin or whatever else belongs to the figure. */
  note?: ReactNode;
  size?: 'large' | 'medium' | 'small';
}

const SIZE = { large: 'text-figure leading-none', medium: 'text-large', small: 'text-body' };

/** One reading with its name and its unit. */
export function Figure({ label, value, spread, unit, hue = 'text-ink', note, size = 'medium' }: FigureProps) {
  return (
    <div className="flex flex-col gap-0.5">
      <span className="caption">{label}</span>
      <span className={classes('reading font-medium', SIZE[size], hue)}>
        {value}
        {spread && <span className="ml-1.5 text-small">{spread}</span>}
        {unit && <span className="ml-1 text-small font-normal text-quiet">{unit}</span>}
      </span>
      {note && <span className="caption">{note}</span>}
    </div>
  );
}
