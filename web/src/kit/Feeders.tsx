import { FEEDER_KINDS } from '@vendu/core';
import { FeederDto, type FeederView, type KitView } from '@vendu/contract';
import { FLOW, GRAMS, MILLIMETRES } from '../ui/quantities';
import { FEEDER_WORDS } from '../ui/words';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { RemoveButton } from './RemoveButton';
import { Empty, Row, Section } from './Section';
import { useSaveKit } from './useSaveKit';
import { withoutId } from './withoutId';

/** What stands on a brewer and takes the pours. */
export function Feeders({ kit }: { kit: KitView }) {
  const save = useSaveKit();
  const form = (id: number | null) => {
    const feeder = kit.feeders.find((each) => each.id === id);
    return (
      <EditButton words={feeder ? 'Change' : 'Add one'} title={feeder ? `Change ${feeder.name}` : ADD}>
        {(leave) => (
          <FiguresForm
            draftKey={`kit.feeder.${id ?? 'new'}`}
            dto={FeederDto}
            initial={
              feeder
                ? withoutId(feeder)
                : { kind: 'regulator', name: '', holeMm: null, holdsG: null, flowGps: null, revision: null }
            }
            fields={[
              {
                field: 'kind',
                label: 'Kind',
                kind: 'choice',
                options: FEEDER_KINDS.map((value) => ({ value, words: FEEDER_WORDS[value] })),
              },
              { field: 'name', label: 'Name', kind: 'text' },
              { field: 'holeMm', label: 'Hole', kind: 'figure', quantity: MILLIMETRES, isOptional: true },
              {
                field: 'holdsG',
                label: 'Holds above it',
                kind: 'figure',
                quantity: GRAMS,
                isOptional: true,
                hint: 'of water',
              },
              {
                field: 'flowGps',
                label: 'Lets through at most',
                kind: 'figure',
                quantity: FLOW,
                isOptional: true,
                hint: 'fill it and time what runs out; of a regulator',
              },
            ]}
            onSave={(body) => save({ part: 'feeders', id, body })}
            onLeave={leave}
          />
        )}
      </EditButton>
    );
  };
  return (
    <Section title="Regulators and shower plates" add={form(null)}>
      {kit.feeders.length === 0 && (
        <Empty>A regulator meters the water onto the bed; a shower plate only spreads it.</Empty>
      )}
      <ul>
        {kit.feeders.map((feeder) => (
          <Row
            key={feeder.id}
            name={feeder.name}
            action={
              <>
                {form(feeder.id)}
                <RemoveButton
                  part="feeders"
                  thing={feeder}
                  again={{ ...withoutId(feeder), revision: null }}
                />
              </>
            }
          >
            <FeederWords {...feeder} />
          </Row>
        ))}
      </ul>
    </Section>
  );
}

const ADD = 'Add a regulator or a shower plate';

function FeederWords({ kind, holeMm, holdsG, flowGps }: FeederView) {
  return (
    <>
      {FEEDER_WORDS[kind]}
      {holeMm !== null && `, hole of ${holeMm} mm`}
      {holdsG !== null && `, holds ${holdsG} g`}
      {flowGps !== null && (
        <>
          , lets <span className="reading text-flow">{flowGps} g/s</span> through
        </>
      )}
    </>
  );
}
