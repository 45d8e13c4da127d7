/** A brewer or paper of other make, and what it asks of a recipe that was proven in another. */
interface BrewerAdvice {
  brewer: string;
  change: string;
}

/** For a kitchen whose brewer has no edition of its own (common practice): pushes to begin with, nothing proven. */
export const BREWER_ADVICE: readonly BrewerAdvice[] = [
  { brewer: 'A cone with one large hole and ribs', change: 'The grind sets the flow: begin a little finer.' },
  { brewer: 'Several small holes, or a valve', change: 'The brewer holds the water back: begin coarser.' },
  {
    brewer: 'No ribs, or paper that lies against glass',
    change: 'Slower and rounder: begin coarser, pour in circles.',
  },
  { brewer: 'Thick paper', change: 'Slow: begin coarser.' },
  { brewer: 'Fast paper', change: 'Begin finer; it does not turn bitter so soon.' },
];
