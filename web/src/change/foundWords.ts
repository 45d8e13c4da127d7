import { formatDuration, type FindingSource } from '@vendu/core';
import { INTENSITY_WORDS } from '../ui/words';

/** Where a finding was found, as it is said beside it. */
export function foundWords(where: FindingSource): string {
  switch (where.kind) {
    case 'ticked':
      return `tasted ${where.stage} by ${where.by}`;
    case 'scored':
      return `${INTENSITY_WORDS[where.attribute].toLowerCase()} ${where.score}, tasted ${where.stage} by ${where.by}`;
    case 'noted':
      return `“${where.word}”, tasted ${where.stage} by ${where.by}`;
    case 'verdict':
      return `“${where.word}” in the verdict`;
    case 'bed':
      return `seen at ${formatDuration(Math.round(where.atS))}`;
    case 'drain':
      return `drained at ${formatDuration(Math.round(where.atS))}, planned ${formatDuration(where.plannedS)}`;
  }
}
