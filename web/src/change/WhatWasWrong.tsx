import { FINDINGS, type Finding, type FoundIn } from '@vendu/core';
import { FINDING_WORDS } from '../ui/findingWords';
import { Toggles } from '../ui/Toggles';
import { foundWords } from './foundWords';

interface WhatWasWrongProps {
  /** What the record says by itself. */
  found: readonly FoundIn[];
  findings: readonly Finding[];
  onToggle: (finding: Finding) => void;
}

/** What speaks against the last cup: taken from its record, and to be added to or taken away by hand. */
export function WhatWasWrong({ found, findings, onToggle }: WhatWasWrongProps) {
  const said = found.filter(({ finding }) => findings.includes(finding));
  return (
    <div role="group" aria-label="What was wrong?" className="mb-3">
      <div className="flex flex-wrap items-center gap-1.5">
        <span className="mr-1 text-small text-quiet">What was wrong?</span>
        <Toggles
          options={FINDINGS.map((value) => ({ value, label: FINDING_WORDS[value] }))}
          on={findings}
          onToggle={onToggle}
        />
      </div>
      {said.length > 0 && (
        <p className="mt-1.5 text-small text-quiet">
          From the record:{' '}
          {said.map(({ finding, where }) => `${FINDING_WORDS[finding]} (${foundWords(where)})`).join('; ')}.
        </p>
      )}
    </div>
  );
}
