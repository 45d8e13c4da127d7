import { PaperDto, type KitView, type PaperView } from '@vendu/contract';
import {
  BREWER_CLASSES,
  brewerGeometry,
  PAPER_BODIES,
  PAPER_FOLDS,
  PAPER_SEATINGS,
  plainWaterDrainS,
} from '@vendu/core';
import { GRAMS, MINUTES, RESISTANCE } from '../ui/quantities';
import { SEATING_WORDS } from '../ui/words';
import { ComparedIn } from './ComparedIn';
import { DrainTest } from './DrainTest';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { Explain } from '../ui/Explain';
import { Row, Section } from './Section';
import { useSaveKit } from './useSaveKit';
import { withoutId } from './withoutId';

const FOLD_OPTIONS = [
  { value: null, words: 'not looked' },
  ...PAPER_FOLDS.map((value) => ({ value, words: value })),
];

export function Papers({ kit }: { kit: KitView }) {
  const save = useSaveKit();
  const form = (id: number | null) => {
    const paper = kit.papers.find((each) => each.id === id);
    return (
      <EditButton
        words={paper ? 'Change' : 'Add a paper'}
        title={paper ? `Change ${paper.name}` : 'Add a paper'}
      >
        {(leave) => (
          <FiguresForm
            draftKey={`kit.paper.${id ?? 'new'}`}
            dto={PaperDto}
            initial={
              paper
                ? withoutId(paper)
                : {
                    name: '',
                    fold: null,
                    seating: null,
                    body: null,
                    isBleached: null,
                    soakMin: null,
                    revision: null,
                  }
            }
            fields={[
              { field: 'name', label: 'Name', kind: 'text' },
              {
                field: 'resistancePerM',
                label: 'Resistance when wet',
                kind: 'figure',
                quantity: RESISTANCE,
                hint: 'fast about 120, ordinary 180, thick 720',
              },
              {
                field: 'fold',
                label: 'Fold',
                kind: 'choice',
                options: FOLD_OPTIONS,
                hint: 'pleats hold it off the wall',
              },
              {
                field: 'seating',
                label: 'Kept in place',
                kind: 'choice',
                options: [
                  { value: null, words: 'by hand' },
                  ...PAPER_SEATINGS.map((value) => ({ value, words: SEATING_WORDS[value] })),
                ],
                hint: 'so that the channels behind it stay open and nothing passes beside it',
              },
              {
                field: 'body',
                label: 'Body it lets through',
                kind: 'choice',
                options: [
                  { value: null, words: 'not judged' },
                  ...PAPER_BODIES.map((value) => ({ value, words: value })),
                ],
                hint: 'a tighter mesh keeps it back',
              },
              {
                field: 'isBleached',
                label: 'Bleached',
                kind: 'choice',
                options: [
                  { value: null, words: 'not known' },
                  { value: true, words: 'bleached' },
                  { value: false, words: 'unbleached' },
                ],
                hint: 'unbleached wants more rinsing',
              },
              { field: 'rinseG', label: 'Rinse with', kind: 'figure', quantity: GRAMS },
              {
                field: 'soakMin',
                label: 'Soaked before',
                kind: 'figure',
                quantity: MINUTES,
                isOptional: true,
                hint: 'minutes; a day is 1440',
              },
            ]}
            onSave={(body) => save({ part: 'papers', id, body })}
            onLeave={leave}
          />
        )}
      </EditButton>
    );
  };
  return (
    <Section title="Papers" add={form(null)}>
      <ul>
        {kit.papers.map((paper) => (
          <Row
            key={paper.id}
            name={paper.name}
            action={
              <span className="flex gap-2">
                <EditButton words="Drain test" title={`Drain test of ${paper.name}`}>
                  {(leave) => <DrainTest paper={paper} kit={kit} onLeave={leave} />}
                </EditButton>
                {form(paper.id)}
              </span>
            }
          >
            <PaperDrain paper={paper} kit={kit} />, rinse{' '}
            <span className="reading text-water">{paper.rinseG} g</span>
            {paperWords(paper)}
            <ComparedIn axis="paper" id={paper.id} />
          </Row>
        ))}
      </ul>
    </Section>
  );
}

/** What somebody looked at of a paper. */
function paperWords({ fold, seating, body, isBleached, soakMin }: PaperView): string {
  return [
    ...(fold === null ? [] : [fold]),
    ...(seating === null ? [] : [`held with ${SEATING_WORDS[seating]}`]),
    ...(body === null ? [] : [`lets ${body} body through`]),
    ...(isBleached === null ? [] : [isBleached ? 'bleached' : 'unbleached']),
    ...(soakMin === null ? [] : [`soaked for ${soakMin} min`]),
  ]
    .map((words) => `, ${words}`)
    .join('');
}

/** Plain water as hot as a slurry, poured at once and nearly gone: what a resistance means at a sink. */
const PLAIN = { waterG: 200, leftG: 10, waterC: 90 };

/** How long plain water takes through a paper in its brewer, s; `null` where it cannot be worked out. */
function plainDrainS(paper: PaperView, kit: KitView): number | null {
  const brewer = kit.brewers.find(({ paperId }) => paperId === paper.id);
  const drained = plainWaterDrainS({
    brewer: brewer ? brewerGeometry(brewer, paper) : BREWER_CLASSES.cone,
    paperPerM: paper.resistancePerM,
    ...PLAIN,
  });
  return drained.ok ? drained.value : null;
}

/** A paper by what it does in its brewer, beside the slowest of them; the figure behind that is one tap away. */
function PaperDrain({ paper, kit }: { paper: PaperView; kit: KitView }) {
  const brewer = kit.brewers.find(({ paperId }) => paperId === paper.id);
  const drainS = plainDrainS(paper, kit);
  const slowestS = Math.max(...kit.papers.map((each) => plainDrainS(each, kit) ?? 0));
  return (
    <>
      <span aria-hidden className="my-1 block h-2 w-full max-w-60 bg-wash">
        <span
          className="block h-2 bg-time"
          style={{ width: `${drainS === null ? 0 : (drainS / slowestS) * 100}%` }}
        />
      </span>
      drains {PLAIN.waterG} g of plain water in{' '}
      <span className="reading text-time">{drainS === null ? '–' : `${Math.round(drainS)} s`}</span>{' '}
      <Explain label={`How fast ${paper.name} drains`} trigger={`in the ${brewer?.name ?? 'usual cone'}`}>
        <p>
          Worked out from its resistance when wet, {RESISTANCE.format(paper.resistancePerM)} million per
          metre, for water of {PLAIN.waterC} °C without coffee. A drain test measures it.
        </p>
      </Explain>
    </>
  );
}
