import { BREWER_SHAPES, brimfulG, classMeasures, RIBS, WALL_MATERIALS } from '@vendu/core';
import { BrewerDto, type BrewerView, type KitView } from '@vendu/contract';
import { COUNT, GRAMS, MILLIMETRES } from '../ui/quantities';
import { RIBS_WORDS, SHAPE_WORDS } from '../ui/words';
import { BrewerDrawing } from './BrewerDrawing';
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
  { field: 'usualDoseG', label: 'Usual dose', kind: 'figure', quantity: GRAMS },
  { field: 'capacityG', label: 'Most water in a brew', kind: 'figure', quantity: GRAMS },
];

/** Brewers side by side, drawn to one scale. */
export function Brewers({ kit }: { kit: KitView }) {
  return (
    <Section title="Brewers" add={<BrewerForm kit={kit} brewer={null} />}>
      {kit.brewers.length === 0 && (
        <Empty>A recipe belongs to a brewer. Measure your first one with a ruler and add it.</Empty>
      )}
      <ul className="flex flex-wrap items-end gap-x-8 gap-y-6">
        {kit.brewers.map((brewer) => (
          <li key={brewer.id} className="flex flex-col gap-2">
            <BrewerDrawing name={brewer.name} measures={brewer} />
            <div className="flex items-start gap-4">
              <div className="grow">
                <h3 className="font-semibold">{brewer.name}</h3>
                <p className="text-small text-quiet">
                  {SHAPE_WORDS[brewer.shape]}, {brewer.paper}
                  <span className="block">{buildWords(brewer)}</span>
                </p>
                <p className="reading text-small">
                  {brewer.usualDoseG} g, {brewer.capacityG} g of water
                  <span className="block text-quiet">{brimfulG(brewer)} g brimful</span>
                </p>
              </div>
              <BrewerForm kit={kit} brewer={brewer} />
            </div>
          </li>
        ))}
      </ul>
      <p className="caption mt-3">Drawn to one scale. Cold glass under boiling water can crack.</p>
    </Section>
  );
}

function BrewerForm({ kit, brewer }: { kit: KitView; brewer: BrewerView | null }) {
  const save = useSaveKit();
  return (
    <EditButton
      words={brewer ? 'Change' : 'Add a brewer'}
      title={brewer ? `Change ${brewer.name}` : 'Add a brewer'}
    >
      {(leave) => (
        <FiguresForm
          draftKey={`kit.brewer.${brewer?.id ?? 'new'}`}
          dto={BrewerDto}
          initial={
            brewer
              ? pickBrewer(brewer)
              : {
                  name: '',
                  ...classMeasures('cone'),
                  ribs: null,
                  wallMaterial: null,
                  wallMm: null,
                  paperId: kit.papers[0]?.id ?? 0,
                  revision: null,
                }
          }
          fields={BREWER_FIELDS(kit.papers)}
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
function buildWords({ ribs, wallMaterial, wallMm }: BrewerView): string {
  return [
    ...(wallMaterial ? [wallMm === null ? wallMaterial : `${wallMm} mm of ${wallMaterial}`] : []),
    ...(ribs ? [ribs === 'none' ? 'no ribs' : `ribs ${RIBS_WORDS[ribs]}`] : []),
  ].join(', ');
}

function isMeasured(
  values: Partial<BrewerDto>,
): values is Partial<BrewerDto> & ReturnType<typeof classMeasures> {
  return (
    ['topDiameterMm', 'bottomDiameterMm', 'heightMm', 'outletDiameterMm', 'outletCount'] as const
  ).every((field) => typeof values[field] === 'number' && values[field] > 0);
}

function pickBrewer(brewer: BrewerView): BrewerDto {
  const { name, shape, topDiameterMm, bottomDiameterMm, heightMm, outletDiameterMm, outletCount } = brewer;
  const { ribs, wallMaterial, wallMm, paperId, usualDoseG, capacityG, revision } = brewer;
  return {
    name,
    shape,
    topDiameterMm,
    bottomDiameterMm,
    heightMm,
    outletDiameterMm,
    outletCount,
    ribs,
    wallMaterial,
    wallMm,
    paperId,
    usualDoseG,
    capacityG,
    revision,
  };
}
