import { PaperDto, type KitView } from '@vendu/contract';
import { GRAMS, RESISTANCE } from '../ui/quantities';
import { DrainTest } from './DrainTest';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { Row, Section } from './Section';
import { useSaveKit } from './useSaveKit';

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
            <span className="reading">{RESISTANCE.format(paper.resistancePerM)}</span> million/m, rinse{' '}
            <span className="reading text-water">{paper.rinseG} g</span>
          </Row>
        ))}
      </ul>
    </Section>
  );
}
