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

/** What typing one's own begins with. */
const OWN: CupRule = { kind: 'times', atS: [30, 60] };

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
  const isOwn = rule.kind === 'times' || rule.kind === 'masses';
  const known = choices([...USUAL, ...(planned ? [planned] : []), rule]);
  return (
    <div className="flex flex-col gap-2">
      <BenchSelect
        label="Fractions"
        options={isOwn ? known : [...known, { words: 'at moments of one’s own', choice: OWN }]}
        value={rule}
        onChange={onChange}
      />
      {rule.kind !== 'none' && (
        <QuantityField
          label="Cups changed"
          leavesOnEnter
          quantity={CUPS}
          value={rule}
          onCommit={onChange}
          onClear={() => onChange({ kind: 'none' })}
        />
      )}
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
