import { celsiusToFahrenheit } from '@vendu/core';
import { AdditionsNote } from '../lots/AdditionsNote';
import type { BenchBrew } from './benchSlice';

/** What to have ready before the clock starts. */
export function Preparation({ brew }: { brew: BenchBrew }) {
  const { plan } = brew;
  const fahrenheit = Math.round(celsiusToFahrenheit({ temperatureC: plan.kettleC }));
  return (
    <div>
      <h2 className="heading mb-2">Before the clock</h2>
      <ol className="list-decimal space-y-1 pl-5">
        <li>
          Fold and rinse the {brew.paper} paper; discard the rinse water, or it spoils the beverage weight.
        </li>
        <li>
          Weigh <b className="reading">{plan.doseG} g</b>, grind at{' '}
          <b className="reading">{brew.grinderSetting ?? `${plan.grindUm} µm`}</b> on {brew.grinderName}.
        </li>
        <li>Shake the bed flat, tare.</li>
        <li>
          Kettle at <b className="reading">{plan.kettleC} °C</b>{' '}
          <span className="reading text-quiet">({fahrenheit} °F)</span>.
        </li>
      </ol>
      <p className="caption mt-3">Water near boiling and its steam scald; cold glass under it can crack.</p>
      <AdditionsNote additions={brew.additions} />
    </div>
  );
}
