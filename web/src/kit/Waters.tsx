import type { KitView } from '@vendu/contract';
import { EditButton } from './EditButton';
import { MixRecipe } from './MixRecipe';
import { Section } from './Section';
import { WaterForm } from './WaterForm';
import { WaterMap } from './WaterMap';

/** Waters as analysed, or with what goes into a litre and into the bottle. */
export function Waters({ kit }: { kit: KitView }) {
  return (
    <Section
      title="Waters"
      add={
        <EditButton words="Add a water" title="Add a water">
          {(leave) => <WaterForm water={null} onLeave={leave} />}
        </EditButton>
      }
    >
      <div className="grid grid-cols-1 gap-x-10 gap-y-5 lg:grid-cols-[auto_minmax(0,1fr)]">
        {kit.waters.length > 0 && <WaterMap waters={kit.waters} />}
        <ul className="grid grid-cols-1 gap-x-10 gap-y-5 md:grid-cols-2">
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
      </div>
    </Section>
  );
}
