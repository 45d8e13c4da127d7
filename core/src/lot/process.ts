import { BASE_PROCESSES, type BaseProcess, type Process } from '../vocabulary.js';

/** How a lot was processed: what it is known for, and what that was done on top of. */
export interface Processing {
  process: Process;
  /** As in an anaerobic natural; left out or `null` where nobody says, and of a process that is a base itself. */
  baseProcess?: BaseProcess | null;
  /** Fruit or yeast that was added, whatever else was done; empty or left out where nothing was. */
  additions?: string;
  /** Decaffeinated on top of all that. */
  isDecaffeinated?: boolean;
}

/** Whether a process leaves open what it was done on top of. */
export function mayHaveBase(process: Process): boolean {
  return process !== 'not-known' && !BASE_PROCESSES.some((base) => base === process);
}

/**
 * A lot is of a process by its name, by its base or by what was done besides: an anaerobic natural with mango, then
 * decaffeinated, is all four.
 */
export function isOfProcess(
  { process, baseProcess = null, additions = '', isDecaffeinated = false }: Processing,
  wanted: Process,
): boolean {
  return (
    process === wanted ||
    (mayHaveBase(process) && baseProcess === wanted) ||
    (wanted === 'co-fermented' && additions.trim() !== '') ||
    (wanted === 'decaffeinated' && isDecaffeinated)
  );
}

export interface ProcessFault {
  field: 'baseProcess';
  message: string;
  allowed: string;
}

/** Why a base cannot be, or nothing. */
export function processFaults({ process, baseProcess = null }: Processing): ProcessFault[] {
  if (baseProcess === null || mayHaveBase(process)) return [];
  const message =
    process === 'not-known'
      ? 'Where the process is not known, its base is not told; choose the base as the process.'
      : 'Only a fermentation, a co-ferment or a decaffeinated lot was made of a washed, honey or natural one; leave it empty.';
  return [{ field: 'baseProcess', message, allowed: 'nothing, beside this process' }];
}
