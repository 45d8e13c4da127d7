import { KettleDto, type KitView } from '@vendu/contract';
import { CELSIUS, FLOW } from '../ui/quantities';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { Row, Section } from './Section';
import { useSaveKit } from './useSaveKit';
import { withoutId } from './withoutId';

/** Steps are drawn to one scale, so that a coarse kettle is seen as one. */
const PX_PER_C = 12;

export function Kettles({ kit }: { kit: KitView }) {
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
            initial={kettle ? withoutId(kettle) : { name: '', stepC: 1, hasScale: false, revision: null }}
            fields={[
              { field: 'name', label: 'Name', kind: 'text' },
              { field: 'stepC', label: 'Smallest step', kind: 'figure', quantity: CELSIUS },
              {
                field: 'holdsWithinC',
                label: 'Holds within',
                kind: 'figure',
                quantity: CELSIUS,
                isOptional: true,
                hint: 'how far it swings either way',
              },
              {
                field: 'mostFlowGps',
                label: 'Pours at most',
                kind: 'figure',
                quantity: FLOW,
                isOptional: true,
                hint: 'wide open',
              },
              {
                field: 'lidStaysOpen',
                label: 'Lid',
                kind: 'choice',
                options: [
                  { value: null, words: 'not looked' },
                  { value: true, words: 'stays open' },
                  { value: false, words: 'falls shut' },
                ],
              },
              { field: 'hasScale', label: 'Has a built-in scale', kind: 'check' },
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
            {kettle.holdsWithinC !== null && (
              <>
                , held within <span className="reading text-temperature">{kettle.holdsWithinC} °C</span>
              </>
            )}
            {kettle.mostFlowGps !== null && (
              <>
                , up to <span className="reading text-flow">{kettle.mostFlowGps} g/s</span>
              </>
            )}
            {kettle.lidStaysOpen !== null && `, lid ${kettle.lidStaysOpen ? 'stays open' : 'falls shut'}`}
            {kettle.hasScale && ', with a scale'}
            <span
              aria-hidden
              className="mt-1 block h-2 w-48 border-b border-temperature"
              style={{
                backgroundImage: `repeating-linear-gradient(90deg, var(--color-temperature) 0 1px, transparent 1px ${kettle.stepC * PX_PER_C}px)`,
              }}
            />
          </Row>
        ))}
      </ul>
      <p className="caption mt-2">
        Water near boiling and its steam scald; keep wet hands from the base and its plug.
      </p>
    </Section>
  );
}
