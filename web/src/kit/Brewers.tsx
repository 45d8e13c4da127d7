import { BREWER_SHAPES, brimfulG, classMeasures, RIBS, spanWords, WALL_MATERIALS } from '@vendu/core';
import { BrewerDto, type BrewerView, type KitView } from '@vendu/contract';
import { CELSIUS, COUNT, GRAMS, MILLIMETRES } from '../ui/quantities';
import { RIBS_WORDS, SHAPE_WORDS } from '../ui/words';
import { BrewerDrawing } from './BrewerDrawing';
import { ComparedIn } from './ComparedIn';
import { EditButton } from './EditButton';
import { FiguresForm, type FigureField } from './FiguresForm';
import { Empty, Section } from './Section';
import { useSaveKit } from './useSaveKit';

const BREWER_FIELDS = (papers: KitView['papers']): FigureField<BrewerDto>[] => [
  { field: 'name', label: 'Name', kind: 'text' },
  {
    field: 'shape',
    label: 'Kind',
    kind: 'choice',
    options: BREWER_SHAPES.map((value) => ({ value, words: SHAPE_WORDS[value] })),
    hint: 'how much of its wall drains',
  },
  {
    field: 'paperId',
    label: 'Usual paper',
    kind: 'choice',
    options: papers.map(({ id, name }) => ({ value: id, words: name })),
  },
  { field: 'topDiameterMm', label: 'Top diameter, inside', kind: 'figure', quantity: MILLIMETRES },
  { field: 'bottomDiameterMm', label: 'Bottom diameter, inside', kind: 'figure', quantity: MILLIMETRES },
  { field: 'heightMm', label: 'Height', kind: 'figure', quantity: MILLIMETRES },
  { field: 'outletDiameterMm', label: 'Hole', kind: 'figure', quantity: MILLIMETRES },
  { field: 'outletCount', label: 'Holes', kind: 'figure', quantity: COUNT },
  {
    field: 'ribs',
    label: 'Ribs inside',
    kind: 'choice',
    options: [
      { value: null, words: 'as usual for its kind' },
      ...RIBS.map((value) => ({ value, words: RIBS_WORDS[value] })),
    ],
  },
  {
    field: 'wallMaterial',
    label: 'Wall',
    kind: 'choice',
    options: [
      { value: null, words: 'as usual for its kind' },
      ...WALL_MATERIALS.map((value) => ({ value, words: value })),
    ],
  },
  { field: 'wallMm', label: 'Wall thickness', kind: 'figure', quantity: MILLIMETRES, isOptional: true },
  { field: 'hasValve', label: 'A valve shuts it', kind: 'check' },
  {
    field: 'advisedLowC',
    label: 'Maker advises from',
    kind: 'figure',
    quantity: CELSIUS,
    isOptional: true,
  },
  {
    field: 'advisedHighC',
    label: 'Maker advises to',
    kind: 'figure',
    quantity: CELSIUS,
    isOptional: true,
  },
  { field: 'usualDoseG', label: 'Usual dose', kind: 'figure', quantity: GRAMS },
  { field: 'capacityG', label: 'Most water in a brew', kind: 'figure', quantity: GRAMS },
];

/** Brewers side by side, drawn to one scale. */
export function Brewers({ kit }: { kit: KitView }) {
  const bodies = new Map(kit.brewers.map(({ id, name }) => [id, name]));
  return (
    <Section title="Brewers" add={<BrewerForm kit={kit} brewer={null} />}>
      {kit.brewers.length === 0 && (
        <Empty>A recipe belongs to a brewer. Measure your first one with a ruler and add it.</Empty>
      )}
      <ul className="flex flex-wrap items-end gap-x-8 gap-y-6">
        {besideTheirBodies(kit.brewers).map((brewer) => (
          <li key={brewer.id} className="flex max-w-80 flex-col gap-2">
            <BrewerDrawing name={brewer.name} measures={brewer} />
            <div className="flex items-start gap-4">
              <div className="grow">
                <h3 className="font-semibold">{brewer.name}</h3>
                <p className="text-small text-quiet">
                  {SHAPE_WORDS[brewer.shape]}, {brewer.paper}
                  <span className="block">{buildWords(brewer, bodies.get(brewer.bodyOfId ?? 0))}</span>
                </p>
                <p className="reading text-small">
                  {brewer.usualDoseG} g, {brewer.capacityG} g of water
                  <span className="block text-quiet">{brimfulG(brewer)} g brimful</span>
                </p>
                <ComparedIn axis="brewer" id={brewer.id} />
              </div>
              <div className="flex flex-col gap-1">
                <BrewerForm kit={kit} brewer={brewer} />
                {brewer.bodyOfId === null && <BrewerForm kit={kit} brewer={null} bottomOf={brewer} />}
              </div>
            </div>
          </li>
        ))}
      </ul>
      <p className="caption mt-3">Drawn to one scale. Cold glass under boiling water can crack.</p>
    </Section>
  );
}

/** What another bottom has of its own; all else is the brewer's. */
const OF_A_BOTTOM: readonly (keyof BrewerDto)[] = [
  'name',
  'paperId',
  'bottomDiameterMm',
  'outletDiameterMm',
  'outletCount',
  'hasValve',
  'advisedLowC',
  'advisedHighC',
  'usualDoseG',
  'capacityG',
];

/** A brewer, or another bottom of one: with it the same brewer runs otherwise, and has recipes of its own. */
function BrewerForm({
  kit,
  brewer,
  bottomOf,
}: {
  kit: KitView;
  brewer: BrewerView | null;
  bottomOf?: BrewerView;
}) {
  const save = useSaveKit();
  const isBottom = bottomOf !== undefined || (brewer?.bodyOfId ?? null) !== null;
  const title = brewer
    ? `Change ${brewer.name}`
    : bottomOf
      ? `Another bottom for ${bottomOf.name}`
      : 'Add a brewer';
  const fields = BREWER_FIELDS(kit.papers);
  return (
    <EditButton words={brewer ? 'Change' : bottomOf ? 'Another bottom' : 'Add a brewer'} title={title}>
      {(leave) => (
        <FiguresForm
          draftKey={`kit.brewer.${brewer?.id ?? (bottomOf ? `bottom-of-${bottomOf.id}` : 'new')}`}
          dto={BrewerDto}
          initial={
            brewer
              ? pickBrewer(brewer)
              : bottomOf
                ? { ...pickBrewer(bottomOf), name: '', bodyOfId: bottomOf.id, revision: null }
                : {
                    name: '',
                    ...classMeasures('cone'),
                    ribs: null,
                    wallMaterial: null,
                    wallMm: null,
                    hasValve: false,
                    advisedLowC: null,
                    advisedHighC: null,
                    bodyOfId: null,
                    paperId: kit.papers[0]?.id ?? 0,
                    revision: null,
                  }
          }
          fields={isBottom ? fields.filter(({ field }) => OF_A_BOTTOM.includes(field)) : fields}
          more={(values) =>
            isMeasured(values) && <BrewerDrawing name={values.name ?? ''} measures={values} />
          }
          onSave={(body) => save({ part: 'brewers', id: brewer?.id ?? null, body })}
          onLeave={leave}
        />
      )}
    </EditButton>
  );
}

/** What somebody looked at of how it is built. */
function buildWords(
  { ribs, wallMaterial, wallMm, outlet, hasValve, advisedLowC, advisedHighC }: BrewerView,
  body: string | undefined,
): string {
  return [
    ...(body === undefined ? [] : [`another bottom of ${body}: ${outlet}`]),
    ...(hasValve ? ['with a valve'] : []),
    ...(wallMaterial ? [wallMm === null ? wallMaterial : `${wallMm} mm of ${wallMaterial}`] : []),
    ...(ribs ? [ribs === 'none' ? 'no ribs' : `ribs ${RIBS_WORDS[ribs]}`] : []),
    ...(advisedLowC === null && advisedHighC === null
      ? []
      : [`maker advises ${spanWords(advisedLowC, advisedHighC)}`]),
  ].join(', ');
}

function isMeasured(
  values: Partial<BrewerDto>,
): values is Partial<BrewerDto> & ReturnType<typeof classMeasures> {
  return (
    ['topDiameterMm', 'bottomDiameterMm', 'heightMm', 'outletDiameterMm', 'outletCount'] as const
  ).every((field) => typeof values[field] === 'number' && values[field] > 0);
}

function pickBrewer({
  id: _,
  outlet: _outlet,
  paper: _paper,
  geometry: _geometry,
  paperResistancePerM: _resistance,
  ...brewer
}: BrewerView): BrewerDto {
  return brewer;
}

/** Bottoms stand beside the brewer that they belong to. */
function besideTheirBodies(brewers: readonly BrewerView[]): BrewerView[] {
  const of = ({ id, bodyOfId }: BrewerView) => bodyOfId ?? id;
  return [...brewers].sort((a, b) => of(a) - of(b) || a.id - b.id);
}
