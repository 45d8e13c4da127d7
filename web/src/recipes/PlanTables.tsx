import { memo } from 'react';
import { ASSUMED_RETAINED, planWarnings, ratioForAim, type Aim, type BrewPlan, type Lock } from '@vendu/core';
import type { BrewerView, GrinderView, KitView } from '@vendu/contract';
import { Notice } from '../ui/Notice';
import { Compared, type ComparedPlan } from './Compared';
import { GrindParts } from './GrindParts';
import { HowAgitated } from './HowAgitated';
import { HowPoured } from './HowPoured';
import { OtherSteps } from './OtherSteps';
import { PlanFigures } from './PlanFigures';
import { PourTable } from './PourTable';
import { settingWords } from './settingWords';

interface PlanTablesProps {
  plan: BrewPlan;
  grinder: GrinderView;
  aim: Aim;
  brewer: BrewerView;
  kettleId: number | null;
  kit: KitView;
  /** Takes an edit, or answers why it cannot be. */
  onOffer: (plan: BrewPlan) => string | undefined;
  /** Complaints by path in the plan, as `pours.1.startS`. */
  faults: Record<string, string>;
  locks: readonly Lock[];
  onLock: (lock: Lock) => void;
  selected: number | null;
  onSelect: (index: number) => void;
  options: ComparedPlan[];
  compared: ComparedPlan | undefined;
  onCompare: (key: string | null) => void;
}

/** The plan as figures under its drawing, each of which can be typed. */
export const PlanTables = memo(function PlanTables({
  plan,
  grinder,
  aim,
  brewer,
  kettleId,
  kit,
  onOffer,
  faults,
  locks,
  onLock,
  selected,
  onSelect,
  options,
  compared,
  onCompare,
}: PlanTablesProps) {
  const kettle = kit.kettles.find(({ id }) => id === kettleId);
  const forAim = ratioForAim(aim, ASSUMED_RETAINED.midGPerG);
  return (
    <>
      <PlanFigures
        plan={plan}
        onOffer={onOffer}
        faults={faults}
        settingHint={settingWords(grinder, plan.grindUm)}
        locks={locks}
        onLock={onLock}
      />
      <GrindParts plan={plan} grinder={grinder} onOffer={onOffer} faults={faults} sieves={kit.sieves} />
      <PourTable
        roomC={kit.house.roomC}
        plan={plan}
        onOffer={onOffer}
        faults={faults}
        selected={selected}
        onSelect={onSelect}
      />
      <HowPoured plan={plan} onOffer={onOffer} faults={faults} />
      <HowAgitated plan={plan} onOffer={onOffer} faults={faults} />
      <OtherSteps plan={plan} onOffer={onOffer} faults={faults} feeders={kit.feeders} />
      <Compared plan={plan} options={options} compared={compared} onCompare={onCompare} />
      {faults['pours'] && <Notice tone="alarm">{faults['pours']}</Notice>}
      {planWarnings(plan, forAim, { ...brewer, ...kettle }).map(({ reason, message, advice }) => (
        <Notice key={reason}>
          <span className="font-semibold text-ink">{message}</span> {advice}
        </Notice>
      ))}
    </>
  );
});
