import { grinderSettingFor } from '@vendu/core';
import type { GrinderView } from '@vendu/contract';
import type { BenchBrew } from './benchBrew';
import type { GroundOn } from './benchSlice';

/** A plan's grind on a grinder: its settings there, as far as they are known. */
export function groundOn(grinder: GrinderView, { grindUm, secondGrind }: BenchBrew['plan']): GroundOn {
  const { id, name, burrSet, retainedG } = grinder;
  const setting = (sizeUm: number | undefined) => {
    const found = sizeUm === undefined ? null : grinderSettingFor({ ...grinder, grindUm: sizeUm });
    return found?.ok ? found.value : null;
  };
  return {
    grinderId: id,
    grinderName: `${name}, ${burrSet}`,
    grinderSetting: setting(grindUm),
    secondSetting: setting(secondGrind?.grindUm),
    retainedG,
  };
}
