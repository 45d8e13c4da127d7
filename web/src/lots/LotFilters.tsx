import { useEffect, useState, type RefObject } from 'react';
import { LOT_STAGES, PROCESSES, type LotStage, type Process } from '@vendu/core';
import type { LotsQueryDto } from '@vendu/contract';
import { KeyHint } from '../ui/Button';
import { classes } from '../ui/classes';
import { INPUT } from '../ui/Field';
import { STAGE_WORDS } from '../ui/words';
import { PROCESS_WORDS } from '@vendu/core';

/** Typing settles before the list is asked for again, ms. */
const SETTLES_MS = 200;

interface LotFiltersProps {
  query: LotsQueryDto;
  countByStage: Partial<Record<LotStage, number>>;
  allLots: number;
  searchField: RefObject<HTMLInputElement | null>;
  onChange: (changed: Partial<LotsQueryDto>) => void;
}

/** Stages with how many lots stand there, a search and the process; all of it lives in the address. */
export function LotFilters({ query, countByStage, allLots, searchField, onChange }: LotFiltersProps) {
  return (
    <div role="search" className="mb-3 flex flex-wrap items-end gap-x-5 gap-y-3">
      <div role="group" aria-label="Stage" className="flex grow flex-wrap gap-x-1">
        <StageFilter
          words="All"
          count={allLots}
          isOn={query.stage === undefined}
          onChoose={() => onChange({ stage: undefined })}
        />
        {LOT_STAGES.map((stage) => (
          <StageFilter
            key={stage}
            words={STAGE_WORDS[stage]}
            count={countByStage[stage] ?? 0}
            isOn={query.stage === stage}
            onChoose={() => onChange({ stage })}
          />
        ))}
      </div>
      <div className="w-44">
        <select
          aria-label="Process"
          className={INPUT}
          value={query.process ?? ''}
          onChange={(event) =>
            onChange({ process: (event.target.value || undefined) as Process | undefined })
          }
        >
          <option value="">Every process</option>
          {PROCESSES.map((process) => (
            <option key={process} value={process}>
              {PROCESS_WORDS[process]}
            </option>
          ))}
        </select>
      </div>
      <SearchField query={query} searchField={searchField} onChange={onChange} />
    </div>
  );
}

function StageFilter({
  words,
  count,
  isOn,
  onChoose,
}: {
  words: string;
  count: number;
  isOn: boolean;
  onChoose: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onChoose}
      className={classes(
        'h-9 border-b-2 px-2 text-small whitespace-nowrap',
        isOn ? 'border-ink font-semibold' : 'border-transparent text-quiet hover:text-ink',
      )}
    >
      {words} <span className="reading text-tiny">{count}</span>
    </button>
  );
}

function SearchField({
  query,
  searchField,
  onChange,
}: Pick<LotFiltersProps, 'query' | 'searchField' | 'onChange'>) {
  // What is typed holds until the address has it; an address changed from elsewhere shows at once.
  const [typed, setTyped] = useState({ text: query.search, over: query.search });
  const text = typed.over === query.search ? typed.text : query.search;
  useEffect(() => {
    if (text === query.search) return undefined;
    const settled = setTimeout(() => onChange({ search: text }), SETTLES_MS);
    return () => clearTimeout(settled);
  });
  return (
    <label className="relative w-60">
      <span className="sr-only">Search lots</span>
      <input
        ref={searchField}
        type="search"
        className={INPUT}
        placeholder="Name, farm, variety"
        maxLength={120}
        value={text}
        onChange={(event) => setTyped({ text: event.target.value, over: query.search })}
        onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
      />
      {text === '' && (
        <span className="pointer-events-none absolute top-2 right-2 text-quiet">
          <KeyHint name="/" />
        </span>
      )}
    </label>
  );
}
