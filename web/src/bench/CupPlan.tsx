import type { CupRule } from '@vendu/core';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, SECONDS, within } from '../ui/quantities';
import { BenchSelect } from './BenchSelect';

const USUAL: readonly CupRule[] = [
  { kind: 'none' },
  ...[10, 15, 30].map((everyS): CupRule => ({ kind: 'time', everyS })),
  ...[30, 60].map((everyG): CupRule => ({ kind: 'mass', everyG })),
];

/** Into which cups the brew runs, in words. */
export function cupWords(rule: CupRule): string {
  switch (rule.kind) {
    case 'none':
      return 'none (F splits by hand)';
    case 'time':
      return `a cup every ${rule.everyS} s`;
    case 'mass':
      return `a cup every ${rule.everyG} g on the scale`;
  }
}

/** Into which cups the brew runs: the usual ones, or any seconds and any grams. */
export function CupPlan({ rule, onChange }: { rule: CupRule; onChange: (rule: CupRule) => void }) {
  const isUsual = USUAL.some((each) => cupWords(each) === cupWords(rule));
  return (
    <div className="flex items-end gap-2">
      <div className="min-w-0 grow">
        <BenchSelect
          label="Fractions"
          options={(isUsual ? USUAL : [...USUAL, rule]).map((choice) => ({
            words: cupWords(choice),
            choice,
          }))}
          value={rule}
          onChange={onChange}
        />
      </div>
      {rule.kind === 'time' && (
        <QuantityField
          className="w-24"
          label="A cup every"
          leavesOnEnter
          quantity={within(SECONDS, { label: 'Time of a cup', min: 3, max: 600 })}
          value={rule.everyS}
          onCommit={(everyS) => onChange({ kind: 'time', everyS })}
        />
      )}
      {rule.kind === 'mass' && (
        <QuantityField
          className="w-24"
          label="A cup every"
          leavesOnEnter
          quantity={within(GRAMS, { label: 'Mass of a cup', min: 5, max: 500 })}
          value={rule.everyG}
          onCommit={(everyG) => onChange({ kind: 'mass', everyG })}
        />
      )}
    </div>
  );
}
