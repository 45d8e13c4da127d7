import { useState } from 'react';
import {
  EXPECTATION,
  INTENSITIES,
  type Expectation,
  type Finding,
  type Hope,
  type Intensity,
} from '@vendu/core';
import { classes } from '../ui/classes';
import { ExpectedFigures } from '../ui/ExpectedFigures';
import { INPUT } from '../ui/Field';
import { hopeWords } from '../ui/hopeWords';
import { INTENSITY_WORDS } from '../ui/words';

interface WhatItIsToDoProps {
  /** `null` where no forecast stands beside the plan. */
  figures: Expectation['figures'];
  /** What the last brew was found to have. */
  found: readonly Finding[];
  hopes: readonly Hope[];
  onHopes: (hopes: Hope[]) => void;
}

/** What a change is expected to do, written down before it is brewed: the trail says afterwards whether it did. */
export function WhatItIsToDo({ figures, found, hopes, onHopes }: WhatItIsToDoProps) {
  const [word, setWord] = useState('');
  const isHoped = (hope: Hope) => hopes.some((each) => hopeWords(each) === hopeWords(hope));
  const toggle = (hope: Hope) =>
    onHopes(
      isHoped(hope)
        ? hopes.filter((each) => hopeWords(each) !== hopeWords(hope))
        : [...hopes, hope].slice(-EXPECTATION.mostHopes),
    );
  const offered = [...found.map((finding): Hope => ({ kind: 'gone', finding })), ...hopes].filter(
    (hope, index, all) => all.findIndex((each) => hopeWords(each) === hopeWords(hope)) === index,
  );
  function bring() {
    if (word.trim() === '') return;
    const brings: Hope = { kind: 'brings', word: word.trim() };
    if (!isHoped(brings)) toggle(brings);
    setWord('');
  }
  return (
    <div role="group" aria-label="What it is to do" className="flex flex-col gap-2">
      <p className="text-small font-medium text-quiet">
        What it is to do; the trail says later whether it did
      </p>
      {/* Its room is kept: what lies under it must not move under a finger when the figures come. */}
      <div className="min-h-20 sm:min-h-6">{figures && <ExpectedFigures figures={figures} />}</div>
      <div className="flex flex-wrap items-center gap-1.5">
        {offered.map((hope) => (
          <button
            key={hopeWords(hope)}
            type="button"
            aria-pressed={isHoped(hope)}
            onClick={() => toggle(hope)}
            className={classes(
              'h-8 rounded-edge border px-2 text-small',
              isHoped(hope)
                ? 'border-ink bg-ink font-semibold text-sheet'
                : 'border-edge text-quiet hover:border-ink hover:text-ink',
            )}
          >
            {hopeWords(hope)}
          </button>
        ))}
        {(['more', 'less'] as const).map((kind) => (
          <div key={kind} className="w-28">
            <select
              aria-label={kind === 'more' ? 'More of' : 'Less of'}
              className={INPUT}
              value=""
              onChange={({ target }) => toggle({ kind, attribute: target.value as Intensity })}
            >
              <option value="">{kind} …</option>
              {INTENSITIES.map((attribute) => (
                <option key={attribute} value={attribute}>
                  {INTENSITY_WORDS[attribute].toLowerCase()}
                </option>
              ))}
            </select>
          </div>
        ))}
        <form
          className="w-52"
          onSubmit={(event) => {
            event.preventDefault();
            bring();
          }}
        >
          <input
            aria-label="A note it is to bring"
            placeholder="a note it is to bring"
            className={INPUT}
            maxLength={EXPECTATION.longestWord}
            value={word}
            onChange={({ target }) => setWord(target.value)}
            onBlur={bring}
          />
        </form>
      </div>
    </div>
  );
}
