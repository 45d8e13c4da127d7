import type { CauseSpread, Forgiveness } from '@vendu/core';
import { Explain } from '../ui/Explain';
import { WideTable } from '../ui/WideTable';

const CAUSE_WORDS: Record<CauseSpread['cause'], string> = {
  grindUm: 'another grinder, 50 µm',
  kettleC: 'kettle, 2 °C',
  doseG: 'dose, 0.2 g',
  pourG: 'running totals, 5 g',
  pourS: 'pour times, 3 s',
  paperShare: 'another paper, 15 %',
};
const CAUSES_SHOWN = 3;

/** How the recipe comes out in other hands, and what moves it most. */
export function ForgivenessTable({
  forgiveness,
  isRough,
}: {
  forgiveness: Forgiveness | null;
  isRough: boolean;
}) {
  return (
    <div className="mt-3 border-t border-rule pt-2 text-small">
      <p className="flex flex-wrap items-baseline gap-x-3">
        {forgiveness ? (
          <span>
            <span className="reading text-large font-semibold">
              {Math.round(forgiveness.insideShare * 100)} of 100
            </span>{' '}
            home brewers get this cup
          </span>
        ) : (
          <span className="text-quiet">Home brewers: recalculates when you stop editing</span>
        )}
        <Explain label="What forgiveness is" trigger="what this is">
          <p>
            The model brews the plan 120 times with ordinary errors of hand and kit. The same cup means within
            0.05 % strength and 0.5 points of yield. The sizes of the errors are assumed.
            {isRough && ' How uncertain the lot itself still is, is left out.'}
          </p>
        </Explain>
      </p>
      {forgiveness && (
        <WideTable>
          <table className="mt-1 w-full">
            <caption className="sr-only">What moves the cup most</caption>
            <tbody>
              {forgiveness.byCause
                .slice(0, CAUSES_SHOWN)
                .map(({ cause, tdsSdPercent, yieldSdPercent, drawdownSdS }) => (
                  <tr key={cause}>
                    <th scope="row" className="py-0.5 text-left font-normal text-quiet">
                      {CAUSE_WORDS[cause]}
                    </th>
                    <td className="reading py-0.5 text-right text-strength">±{tdsSdPercent.toFixed(2)} %</td>
                    <td className="reading py-0.5 text-right text-yield">±{yieldSdPercent.toFixed(1)}</td>
                    <td className="reading py-0.5 text-right text-time">±{Math.round(drawdownSdS)} s</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </WideTable>
      )}
    </div>
  );
}
