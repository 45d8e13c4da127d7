import { grinderSettingFor, grinderWord } from '@vendu/core';
import type { GrinderView } from '@vendu/contract';

/** What a grinder is set to for a size, or why nobody can say. */
export function settingWords({ name, points, settingStep, words }: GrinderView, grindUm: number): string {
  const found = grinderSettingFor({ points, settingStep, grindUm });
  if (!found.ok) return found.message;
  const word = grinderWord(words, found.value);
  return `${name} at ${found.value}${word === null ? '' : `, ${word}`}`;
}
