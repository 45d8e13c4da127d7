import { SieveDto, type KitView } from '@vendu/contract';
import { MICROMETRES } from '../ui/quantities';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { RemoveButton } from './RemoveButton';
import { Empty, Row, Section } from './Section';
import { useSaveKit } from './useSaveKit';
import { withoutId } from './withoutId';

/** Sieves by their holes: a plan with one of them is drawn from here. */
export function Sieves({ kit }: { kit: KitView }) {
  const save = useSaveKit();
  const form = (id: number | null) => {
    const sieve = kit.sieves.find((each) => each.id === id);
    return (
      <EditButton
        words={sieve ? 'Change' : 'Add a sieve'}
        title={sieve ? `Change ${sieve.name}` : 'Add a sieve'}
      >
        {(leave) => (
          <FiguresForm
            draftKey={`kit.sieve.${id ?? 'new'}`}
            dto={SieveDto}
            initial={sieve ? withoutId(sieve) : { name: '', revision: null }}
            fields={[
              { field: 'name', label: 'Name', kind: 'text' },
              { field: 'holesUm', label: 'Holes', kind: 'figure', quantity: MICROMETRES },
            ]}
            onSave={(body) => save({ part: 'sieves', id, body })}
            onLeave={leave}
          />
        )}
      </EditButton>
    );
  };
  return (
    <Section title="Sieves" add={form(null)}>
      {kit.sieves.length === 0 && <Empty>A sieve takes the fines out before the dose is weighed.</Empty>}
      <ul>
        {kit.sieves.map((sieve) => (
          <Row
            key={sieve.id}
            name={sieve.name}
            action={
              <>
                {form(sieve.id)}
                <RemoveButton part="sieves" thing={sieve} again={{ ...withoutId(sieve), revision: null }} />
              </>
            }
          >
            holes of <span className="reading">{sieve.holesUm} µm</span>
          </Row>
        ))}
      </ul>
    </Section>
  );
}
