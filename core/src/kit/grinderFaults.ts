import type { CalibrationPoint } from '../grind/grinderSetting.js';
import type { GrinderWord } from '../grind/grinderWords.js';

/** What of a grinder's scale cannot be together, and what would be taken. */
export interface GrinderFault {
  field: string;
  message: string;
  allowed: string;
}

/** A scale whose ends, measured points and words contradict each other; empty for one that can be. */
export function grinderFaults({
  finestSetting,
  coarsestSetting,
  points,
  words,
}: {
  finestSetting: number | null;
  coarsestSetting: number | null;
  points: readonly CalibrationPoint[];
  words: readonly GrinderWord[];
}): GrinderFault[] {
  const faults: GrinderFault[] = [];
  if (finestSetting !== null && coarsestSetting !== null && finestSetting >= coarsestSetting) {
    faults.push({
      field: 'coarsestSetting',
      message: `The coarsest setting must lie above the finest, ${finestSetting}.`,
      allowed: `above ${finestSetting}`,
    });
  }
  points.forEach(({ setting }, index) => {
    const end =
      finestSetting !== null && setting < finestSetting
        ? { name: 'finest', at: finestSetting, allowed: `${finestSetting} or more` }
        : coarsestSetting !== null && setting > coarsestSetting
          ? { name: 'coarsest', at: coarsestSetting, allowed: `${coarsestSetting} or less` }
          : null;
    if (end === null) return;
    faults.push({
      field: `points.${index}.setting`,
      message: `A point at ${setting} lies beyond the ${end.name} setting of the scale, ${end.at}.`,
      allowed: end.allowed,
    });
  });
  words.forEach(({ word, fromSetting, toSetting }, index) => {
    if (fromSetting <= toSetting) return;
    faults.push({
      field: `words.${index}.toSetting`,
      message: `“${word}” must end at ${fromSetting} or coarser.`,
      allowed: `${fromSetting} or more`,
    });
  });
  return faults;
}
