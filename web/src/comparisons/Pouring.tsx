import { armLetter } from '@vendu/core';
import type { BlindTestView } from '@vendu/contract';
import { usePourBlindMutation } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';

/** Which coffee goes where. Whoever asks for it is written down: he knows too much to taste. */
export function Pouring({ test }: { test: BlindTestView }) {
  const [pour, { data, error, isLoading }] = usePourBlindMutation();
  if (!data) {
    return (
      <div className="mt-2">
        <p className="mb-2 text-small">
          It shows which coffee goes into which cup. Your name is written down beside the answer; do not
          taste, and let no taster see it.
        </p>
        <TroubleNotice trouble={troubleOf(error)} />
        <Button onClick={() => void pour(test.id)} disabled={isLoading}>
          I pour: show it
        </Button>
      </div>
    );
  }
  return (
    <table className="mt-2 text-small">
      <caption className="sr-only">Which coffee goes into which cup</caption>
      <tbody>
        {data.sets.map(({ number, cups }) => (
          <tr key={number} className="border-b border-rule">
            <th scope="row" className="py-1 pr-4 text-left font-normal text-quiet">
              Taster {number}
            </th>
            {cups.map(({ code, arm, isReference }, index) => (
              <td key={index} className="py-1 pr-5">
                <span className="reading">{isReference ? 'known' : code}</span>{' '}
                <span className="font-bold">{armLetter(arm)}</span>
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
