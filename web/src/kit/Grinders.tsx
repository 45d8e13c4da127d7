import type { KitView } from '@vendu/contract';
import { EditButton } from './EditButton';
import { GrinderChart } from './GrinderChart';
import { GrinderForm } from './GrinderForm';
import { Empty, Section } from './Section';
import { SettingMeans } from './SettingMeans';
import { StatedSettings } from './StatedSettings';

/** Grinders with their curves, one for each burr set. */
export function Grinders({ kit }: { kit: KitView }) {
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
        <Empty>A grinder is described by the size it grinds at each setting.</Empty>
      )}
      <ul className="grid grid-cols-1 gap-x-10 gap-y-6 md:grid-cols-2">
        {kit.grinders.map((grinder) => {
          const sizes = grinder.points.map(({ grindUm }) => grindUm);
          return (
            <li key={grinder.id}>
              <div className="mb-1 flex items-start gap-4">
                <div className="grow">
                  <h3 className="font-semibold">
                    {grinder.name}, <span className="font-normal">{grinder.burrSet}</span>
                    {grinder.owner !== '' && (
                      <span className="block text-small font-normal text-quiet">
                        as described by {grinder.owner}
                      </span>
                    )}
                  </h3>
                  <p className="reading text-small text-quiet">
                    {Math.min(...sizes)}–{Math.max(...sizes)} µm, steps of {grinder.settingStep}
                    {grinder.burrsKg !== null && `, burrs ${grinder.burrsKg} kg`}
                    {grinder.retainedG !== null && `, keeps ${grinder.retainedG} g`}
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
      <SettingMeans kit={kit} />
      <StatedSettings kit={kit} />
    </Section>
  );
}
