import { INSTRUMENT_KINDS, InstrumentDto, type KitView } from '@vendu/contract';
import { DAYS, DECIMAL } from '../ui/quantities';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { InstrumentRow } from './InstrumentRow';
import { Empty, Section } from './Section';
import { useSaveKit } from './useSaveKit';

/** Scales, refractometers and thermometers with their zero checks. */
export function Instruments({ kit }: { kit: KitView }) {
  return (
    <Section title="Instruments" add={<InstrumentForm kit={kit} id={null} />}>
      {kit.instruments.length === 0 && (
        <Empty>Scales, refractometers and thermometers go here, with their zero checks.</Empty>
      )}
      <ul>
        {kit.instruments.map((instrument) => (
          <InstrumentRow key={instrument.id} instrument={instrument}>
            <InstrumentForm kit={kit} id={instrument.id} />
          </InstrumentRow>
        ))}
      </ul>
      <p className="caption mt-2">
        Isopropyl wipes for the prism are flammable; keep them from flame and heat.
      </p>
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
