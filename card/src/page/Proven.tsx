import { formatDuration, type Precision } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { Section } from './Section.js';

/** Strength and yield as proven, with what they rest on. */
export function Proven({ card: { proof } }: { card: PublicRecipeView }) {
  if (!proof) return null;
  const { strength, yield: extraction, drain, hands, grinders } = proof;
  const rows: [string, string, Precision, (value: number) => string][] = [
    ['Strength', 'text-strength', strength, (value) => `${value.toFixed(2)} %`],
    ['Yield', 'text-yield', extraction, (value) => `${value.toFixed(1)} %`],
    ...(drain
      ? [
          [
            'Drained',
            'text-time',
            drain,
            (value: number) => formatDuration(Math.round(value)),
          ] satisfies (typeof rows)[number],
        ]
      : []),
  ];
  return (
    <Section title="As proven">
      <dl className="grid grid-cols-[auto_auto_1fr] gap-x-4 gap-y-1">
        {rows.map(([name, hue, precision, print]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd className={`reading font-medium ${hue}`}>{print(precision.mean)}</dd>
            <dd className="reading text-quiet">
              {precision.expected && `${print(precision.expected.low)} to ${print(precision.expected.high)}`}
            </dd>
          </div>
        ))}
      </dl>
      <p className="caption">
        {counted(strength.count, 'brew')} by {counted(hands, 'person', 'people')} on{' '}
        {counted(grinders, 'grinder')}
        {strength.expected && '; nine of ten brews lie between'}
      </p>
    </Section>
  );
}

function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
