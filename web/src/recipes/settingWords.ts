import { grinderSettingFor } from '@vendu/core';
import type { GrinderView } from '@vendu/contract';

/** What a grinder is set to for a size, or why nobody can say. */
export function settingWords({ name, points, settingStep }: GrinderView, grindUm: number): string {
  const found = grinderSettingFor({ points, settingStep, grindUm });
  return found.ok ? `${name} at ${found.value}` : found.message;
}
