import type { ReferenceRecord } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { useReferenceCupsQuery } from '../api/tastersApi';
import { TroubleNotice } from '../ui/Notice';
import { REFERENCE_WORDS } from './referenceWords';

/** What one found so far, beside what guessing gives. */
export function OwnRecord() {
  const { data, error } = useReferenceCupsQuery();
  return (
    <section>
      <h2 className="heading mb-2">What you found</h2>
      <TroubleNotice trouble={troubleOf(error)} />
      {data?.records.length === 0 && (
        <p className="text-small text-quiet">No cups yet. Six or more of a kind begin to say something.</p>
      )}
      <ul>
        {data?.records.map((record) => (
          <li key={`${record.kind} ${record.differencePercent ?? ''}`} className="border-b border-rule py-2">
            <p className="font-semibold">
              {REFERENCE_WORDS[record.kind].name}
              {record.differencePercent !== null && (
                <>
                  , <span className="reading text-strength">{record.differencePercent.toFixed(2)} %</span>
                </>
              )}
            </p>
            <p className="text-small">{words(record)}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

function words({ right, trials, byGuessing, found, isMoreThanGuessing }: ReferenceRecord): string {
  const hundred = (share: number) => Math.round(100 * share);
  const counted = `${right} of ${trials}; guessing gives ${Number(byGuessing.toFixed(1))}`;
  return isMoreThanGuessing
    ? `${counted}. You find it ${hundred(found.value)} times in 100 (${hundred(found.low)} to ${hundred(found.high)}).`
    : `${counted}. It may be chance.`;
}
