import { cupScheduleWords, type CupRule, type CupSchedule } from '@vendu/core';
import { QuantityField } from '../ui/QuantityField';
import { CUPS } from '../ui/quantities';
import { BenchSelect } from './BenchSelect';

const USUAL: readonly CupRule[] = [
  { kind: 'none' },
  ...[10, 15, 30].map((everyS): CupRule => ({ kind: 'time', everyS })),
  ...[30, 60].map((everyG): CupRule => ({ kind: 'mass', everyG })),
];

/** Into which cups the brew runs, in words. */
export function cupWords(rule: CupRule): string {
  if (rule.kind === 'none') return 'none (F splits by hand)';
  return rule.kind === 'time' || rule.kind === 'mass'
    ? `a cup ${cupScheduleWords(rule)}`
    : cupScheduleWords(rule);
}

/** Into which cups the brew runs: as planned, the usual ones, or any moments that are typed. */
export function CupPlan({
  rule,
  planned,
  onChange,
}: {
  rule: CupRule;
  planned: CupSchedule | undefined;
  onChange: (rule: CupRule) => void;
}) {
  return (
    <div className="col-span-2 flex items-end gap-2">
      <div className="min-w-0 grow">
        <BenchSelect
          label="Fractions"
          options={choices([...USUAL, ...(planned ? [planned] : []), rule])}
          value={rule}
          onChange={onChange}
        />
      </div>
      <QuantityField
        className="w-1/2"
        label="Cups changed"
        leavesOnEnter
        quantity={CUPS}
        value={rule.kind === 'none' ? null : rule}
        onCommit={onChange}
        onClear={() => onChange({ kind: 'none' })}
        placeholder="0:40 1:15 2:00, or 90 150 g"
      />
    </div>
  );
}

/** Each once. */
function choices(rules: readonly CupRule[]): { words: string; choice: CupRule }[] {
  return [...new Map(rules.map((choice) => [cupWords(choice), choice])).entries()].map(([words, choice]) => ({
    words,
    choice,
  }));
}
