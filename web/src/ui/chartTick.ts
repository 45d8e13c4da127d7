/** How the figures along an axis of a chart are set. */
export const TICK = { fill: 'var(--color-quiet)', fontSize: 11, fontFamily: 'var(--font-readings)' };
