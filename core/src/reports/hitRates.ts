import type { TrackRecord } from '../change/ruleRecord.js';
import { numberColumn, textColumn, type Report } from './report.js';

/** Whose ideas came to what. */
export interface HitRates {
  model: TrackRecord;
  rules: readonly (TrackRecord & { name: string })[];
  people: readonly (TrackRecord & { name: string })[];
}

/** How often what was expected of a change came. */
export function hitRateReport({ model, rules, people }: HitRates): Report {
  const told = [
    { whose: 'the model', name: 'its figures', ...model },
    ...rules.map((rule) => ({ whose: 'a rule', ...rule })),
    ...people.map((person) => ({ whose: 'own', ...person })),
  ].filter(({ came, missed }) => came + missed > 0);
  return {
    answer:
      told.length === 0 ? 'No change was brewed and seen in this time.' : answerOf(model, rules, people),
    remark:
      'Figures of the model: in their band, which should hold nine of ten. Rules and own changes: what was hoped for in the cup, as far as somebody tasted for it. Few told say little.',
    columns: [
      textColumn('whose', 'Idea'),
      textColumn('name', 'Of'),
      numberColumn('told', 'Told'),
      numberColumn('came', 'Came'),
      numberColumn('share', 'Share', '%'),
    ],
    rows: told.map(({ whose, name, came, missed }) => ({
      lotId: null,
      cells: { whose, name, told: came + missed, came, share: share({ came, missed }) },
    })),
    chart:
      told.length === 0
        ? null
        : {
            kind: 'bars',
            x: 'name',
            quantity: 'none',
            yLabel: 'came, % of what was told',
            decimals: 0,
            points: told.map(({ name, came, missed }) => ({
              x: name,
              y: share({ came, missed }),
              of: `${came} of ${came + missed}`,
            })),
            line: null,
          },
  };
}

const share = ({ came, missed }: TrackRecord) => (100 * came) / (came + missed);

function answerOf(model: TrackRecord, rules: readonly TrackRecord[], people: readonly TrackRecord[]): string {
  const parts = (
    [
      ['The model’s figures came', model],
      ['what rules hoped for', summed(rules)],
      ['what people hoped for of their own changes', summed(people)],
    ] as const
  ).flatMap(([words, { came, missed }]) =>
    came + missed === 0 ? [] : [`${words} ${came} of ${came + missed} times`],
  );
  const sentence = `${parts.join(', ')}.`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}

const summed = (records: readonly TrackRecord[]): TrackRecord => ({
  came: records.reduce((sum, { came }) => sum + came, 0),
  missed: records.reduce((sum, { missed }) => sum + missed, 0),
});
