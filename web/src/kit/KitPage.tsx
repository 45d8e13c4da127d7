import { boilingPointC, BREWER_SHAPES, brimfulG, classMeasures, valueOf } from '@vendu/core';
import {
  BrewerDto,
  HouseDto,
  INSTRUMENT_KINDS,
  InstrumentDto,
  KettleDto,
  PaperDto,
  type BrewerView,
  type KitView,
} from '@vendu/contract';
import type { ReactNode } from 'react';
import { troubleOf } from '../api/problem';
import { useKitQuery } from '../lots/lotsApi';
import { useSessionQuery } from '../session/sessionApi';
import { Loading } from '../ui/Loading';
import {
  CELSIUS,
  COUNT,
  DAYS,
  DECIMAL,
  GRAMS,
  METRES,
  MILLIMETRES,
  PERCENT,
  PERCENT_FINE,
  RESISTANCE,
} from '../ui/quantities';
import { Unavailable } from '../ui/Unavailable';
import { SHAPE_WORDS } from '../ui/words';
import { BrewerDrawing } from './BrewerDrawing';
import { EditButton } from './EditButton';
import { FiguresForm, type FigureField } from './FiguresForm';
import { GrinderChart } from './GrinderChart';
import { GrinderForm } from './GrinderForm';
import { InstrumentRow } from './InstrumentRow';
import { useChangeHouseMutation } from './kitApi';
import { MixRecipe } from './MixRecipe';
import { useSaveKit } from './useSaveKit';
import { WaterForm } from './WaterForm';

const SECTIONS = ['The lab', 'Brewers', 'Grinders', 'Papers', 'Kettles', 'Waters', 'Instruments'] as const;
const anchor = (title: string) => title.toLowerCase().replace(/\s/g, '-');

/** Everything the lab brews and measures with. */
export function KitPage() {
  const { data: kit, error, isLoading, refetch } = useKitQuery();
  if (isLoading) return <Loading />;
  if (!kit) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <div className="grid gap-x-10 xl:grid-cols-[9rem_minmax(0,1fr)]">
      <div>
        <h1 className="mb-3 text-title font-bold">Kit</h1>
        <nav aria-label="Kinds of kit" className="sticky top-4 flex flex-wrap gap-x-4 gap-y-1 xl:flex-col">
          {SECTIONS.map((title) => (
            <a
              key={title}
              href={`#${anchor(title)}`}
              className="py-1 text-small text-quiet hover:text-ink hover:underline"
            >
              {title}
            </a>
          ))}
        </nav>
      </div>
      <div className="flex flex-col gap-9">
        <Lab kit={kit} />
        <Brewers kit={kit} />
        <Grinders kit={kit} />
        <div className="grid gap-x-10 gap-y-9 md:grid-cols-2">
          <Papers kit={kit} />
          <Kettles kit={kit} />
        </div>
        <Waters kit={kit} />
        <Section title="Instruments" add={<InstrumentForm kit={kit} id={null} />}>
          {kit.instruments.length === 0 && (
            <Empty>Scales and refractometers with their zero checks stand here.</Empty>
          )}
          <ul>
            {kit.instruments.map((instrument) => (
              <InstrumentRow key={instrument.id} instrument={instrument}>
                <InstrumentForm kit={kit} id={instrument.id} />
              </InstrumentRow>
            ))}
          </ul>
        </Section>
      </div>
    </div>
  );
}

function Section({ title, add, children }: { title: string; add?: ReactNode; children: ReactNode }) {
  return (
    <section id={anchor(title)} className="scroll-mt-4">
      <div className="mb-3 flex items-end border-b border-ink pb-1">
        <h2 className="grow text-small font-[650]">{title}</h2>
        {add}
      </div>
      {children}
    </section>
  );
}

function Empty({ children }: { children: ReactNode }) {
  return <p className="text-small text-quiet">{children}</p>;
}

function Lab({ kit: { house } }: { kit: KitView }) {
  const [change] = useChangeHouseMutation();
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const { window } = house;
  const boilingC = valueOf(boilingPointC({ elevationM: house.elevationM }));
  return (
    <Section
      title="The lab"
      add={
        isLead && (
          <EditButton words="Change" title="Change the lab">
            {(leave) => (
              <FiguresForm
                draftKey="kit.house"
                dto={HouseDto}
                initial={{
                  name: house.name,
                  place: house.place,
                  elevationM: house.elevationM,
                  roomC: house.roomC,
                  ...window,
                  revision: house.revision,
                }}
                fields={[
                  { field: 'name', label: 'Name', kind: 'text' },
                  { field: 'place', label: 'Place', kind: 'text' },
                  {
                    field: 'elevationM',
                    label: 'Elevation',
                    kind: 'figure',
                    quantity: METRES,
                    hint: 'sets the boiling point',
                  },
                  { field: 'roomC', label: 'Room', kind: 'figure', quantity: CELSIUS },
                  { field: 'tdsLowPercent', label: 'Strength from', kind: 'figure', quantity: PERCENT_FINE },
                  { field: 'tdsHighPercent', label: 'Strength to', kind: 'figure', quantity: PERCENT_FINE },
                  { field: 'yieldLowPercent', label: 'Yield from', kind: 'figure', quantity: PERCENT },
                  { field: 'yieldHighPercent', label: 'Yield to', kind: 'figure', quantity: PERCENT },
                ]}
                onSave={async (body) => troubleOf((await change(body)).error)}
                onLeave={leave}
              />
            )}
          </EditButton>
        )
      }
    >
      <p className="flex flex-wrap gap-x-8 gap-y-1">
        <span className="font-semibold">
          {house.name}
          {house.place && `, ${house.place}`}
        </span>
        <span>
          <span className="reading">{house.elevationM}</span> m, water boils at{' '}
          <span className="reading text-temperature">{boilingC.toFixed(1)} °C</span>
        </span>
        <span>
          room <span className="reading text-temperature">{house.roomC} °C</span>
        </span>
        <span>
          window{' '}
          <span className="reading text-strength">
            {window.tdsLowPercent.toFixed(2)}–{window.tdsHighPercent.toFixed(2)} %
          </span>
          ,{' '}
          <span className="reading text-yield">
            {window.yieldLowPercent}–{window.yieldHighPercent} %
          </span>
        </span>
      </p>
    </Section>
  );
}

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
  { field: 'usualDoseG', label: 'Usual dose', kind: 'figure', quantity: GRAMS },
  { field: 'capacityG', label: 'Most water of a brew', kind: 'figure', quantity: GRAMS },
];

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
              : { name: '', ...classMeasures('cone'), paperId: kit.papers[0]?.id ?? 0, revision: null }
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

function isMeasured(
  values: Partial<BrewerDto>,
): values is Partial<BrewerDto> & ReturnType<typeof classMeasures> {
  return (
    ['topDiameterMm', 'bottomDiameterMm', 'heightMm', 'outletDiameterMm', 'outletCount'] as const
  ).every((field) => typeof values[field] === 'number' && values[field] > 0);
}

function pickBrewer(brewer: BrewerView): BrewerDto {
  const { name, shape, topDiameterMm, bottomDiameterMm, heightMm, outletDiameterMm, outletCount } = brewer;
  const { paperId, usualDoseG, capacityG, revision } = brewer;
  return {
    name,
    shape,
    topDiameterMm,
    bottomDiameterMm,
    heightMm,
    outletDiameterMm,
    outletCount,
    paperId,
    usualDoseG,
    capacityG,
    revision,
  };
}

function Brewers({ kit }: { kit: KitView }) {
  return (
    <Section title="Brewers" add={<BrewerForm kit={kit} brewer={null} />}>
      {kit.brewers.length === 0 && (
        <Empty>A recipe belongs to a brewer. Add the first with a ruler’s figures.</Empty>
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
                </p>
                <p className="reading text-small">
                  {brewer.usualDoseG} g, {brewer.capacityG} g of water{' '}
                  <span className="text-quiet">({brimfulG(brewer)} g brimful)</span>
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

function Grinders({ kit }: { kit: KitView }) {
  return (
    <Section
      title="Grinders"
      add={
        <EditButton words="Add a grinder" title="Add a grinder">
          {(leave) => <GrinderForm kit={kit} grinder={null} onLeave={leave} />}
        </EditButton>
      }
    >
      {kit.grinders.length === 0 && (
        <Empty>A grinder is known by the sizes it grinds to at its settings.</Empty>
      )}
      <ul className="grid gap-x-10 gap-y-6 md:grid-cols-2">
        {kit.grinders.map((grinder) => {
          const sizes = grinder.points.map(({ grindUm }) => grindUm);
          return (
            <li key={grinder.id}>
              <div className="mb-1 flex items-start gap-4">
                <div className="grow">
                  <h3 className="font-semibold">
                    {grinder.name}, <span className="font-normal">{grinder.burrSet}</span>
                  </h3>
                  <p className="reading text-small text-quiet">
                    {Math.min(...sizes)}–{Math.max(...sizes)} µm, steps of {grinder.settingStep}
                  </p>
                </div>
                <EditButton words="Change" title={`Change ${grinder.name}, ${grinder.burrSet}`}>
                  {(leave) => <GrinderForm kit={kit} grinder={grinder} onLeave={leave} />}
                </EditButton>
              </div>
              <GrinderChart name={grinder.name} points={grinder.points} />
            </li>
          );
        })}
      </ul>
    </Section>
  );
}

function Papers({ kit }: { kit: KitView }) {
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
                ? {
                    name: paper.name,
                    resistancePerM: paper.resistancePerM,
                    rinseG: paper.rinseG,
                    revision: paper.revision,
                  }
                : { name: '', revision: null }
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
              { field: 'rinseG', label: 'Rinse with', kind: 'figure', quantity: GRAMS },
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
          <Row key={paper.id} name={paper.name} action={form(paper.id)}>
            <span className="reading">{RESISTANCE.format(paper.resistancePerM)}</span> million/m, rinse{' '}
            <span className="reading text-water">{paper.rinseG} g</span>
          </Row>
        ))}
      </ul>
    </Section>
  );
}

function Kettles({ kit }: { kit: KitView }) {
  const save = useSaveKit();
  const form = (id: number | null) => {
    const kettle = kit.kettles.find((each) => each.id === id);
    return (
      <EditButton
        words={kettle ? 'Change' : 'Add a kettle'}
        title={kettle ? `Change ${kettle.name}` : 'Add a kettle'}
      >
        {(leave) => (
          <FiguresForm
            draftKey={`kit.kettle.${id ?? 'new'}`}
            dto={KettleDto}
            initial={
              kettle
                ? {
                    name: kettle.name,
                    stepC: kettle.stepC,
                    hasScale: kettle.hasScale,
                    revision: kettle.revision,
                  }
                : { name: '', stepC: 1, hasScale: false, revision: null }
            }
            fields={[
              { field: 'name', label: 'Name', kind: 'text' },
              { field: 'stepC', label: 'Smallest step', kind: 'figure', quantity: CELSIUS },
              { field: 'hasScale', label: 'Has a scale of its own', kind: 'check' },
            ]}
            onSave={(body) => save({ part: 'kettles', id, body })}
            onLeave={leave}
          />
        )}
      </EditButton>
    );
  };
  return (
    <Section title="Kettles" add={form(null)}>
      <ul>
        {kit.kettles.map((kettle) => (
          <Row key={kettle.id} name={kettle.name} action={form(kettle.id)}>
            steps of <span className="reading text-temperature">{kettle.stepC} °C</span>
            {kettle.hasScale && ', with a scale'}
          </Row>
        ))}
      </ul>
      <p className="caption mt-2">
        Water near boiling and its steam scald; keep wet hands from the base and its plug.
      </p>
    </Section>
  );
}

function Waters({ kit }: { kit: KitView }) {
  return (
    <Section
      title="Waters"
      add={
        <EditButton words="Add a water" title="Add a water">
          {(leave) => <WaterForm water={null} onLeave={leave} />}
        </EditButton>
      }
    >
      <ul className="grid gap-x-10 gap-y-5 md:grid-cols-2">
        {kit.waters.map((water) => (
          <li key={water.id}>
            <div className="mb-2 flex items-start gap-4">
              <div className="grow">
                <h3 className="font-semibold">{water.name}</h3>
                <p className="text-small">
                  hardness <span className="reading">{water.hardnessMgPerL}</span>, alkalinity{' '}
                  <span className="reading">{water.alkalinityMgPerL}</span> mg/L as CaCO3, minerals{' '}
                  <span className="reading">{water.mineralsMgPerL}</span> mg/L
                </p>
              </div>
              <EditButton words="Change" title={`Change ${water.name}`}>
                {(leave) => <WaterForm water={water} onLeave={leave} />}
              </EditButton>
            </div>
            {water.mix ? <MixRecipe mix={water.mix} /> : <p className="caption">by analysis</p>}
          </li>
        ))}
      </ul>
    </Section>
  );
}

function InstrumentForm({ kit, id }: { kit: KitView; id: number | null }) {
  const save = useSaveKit();
  const instrument = kit.instruments.find((each) => each.id === id);
  return (
    <EditButton
      words={instrument ? 'Change' : 'Add an instrument'}
      title={instrument ? `Change ${instrument.name}` : 'Add an instrument'}
    >
      {(leave) => (
        <FiguresForm
          draftKey={`kit.instrument.${id ?? 'new'}`}
          dto={InstrumentDto}
          initial={
            instrument
              ? {
                  kind: instrument.kind,
                  name: instrument.name,
                  resolution: instrument.resolution,
                  zeroEveryDays: instrument.zeroEveryDays,
                  revision: instrument.revision,
                }
              : { kind: 'scale', name: '', revision: null }
          }
          fields={[
            {
              field: 'kind',
              label: 'Kind',
              kind: 'choice',
              options: INSTRUMENT_KINDS.map((value) => ({ value, words: value })),
            },
            { field: 'name', label: 'Name', kind: 'text' },
            { field: 'resolution', label: 'Smallest step shown', kind: 'figure', quantity: DECIMAL },
            { field: 'zeroEveryDays', label: 'Zero check every', kind: 'figure', quantity: DAYS },
          ]}
          onSave={(body) => save({ part: 'instruments', id, body })}
          onLeave={leave}
        />
      )}
    </EditButton>
  );
}

function Row({ name, action, children }: { name: string; action: ReactNode; children: ReactNode }) {
  return (
    <li className="flex items-center gap-4 border-b border-rule py-1.5 text-small">
      <span className="grow">
        <span className="text-body font-semibold">{name}</span>
        <span className="block text-quiet">{children}</span>
      </span>
      {action}
    </li>
  );
}
