import type { ReactNode } from 'react';
import type { Hope, HopeSeen } from '@vendu/core';
import type { ChangeView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { hopeWords } from '../ui/hopeWords';
import { listed } from '../ui/listed';
import { OUTCOME_ORDER, OUTCOME_WORDS } from '../ui/outcomeWords';

/** What a change did and what it was to do, in the trail between its two brews: each as expected, or not. */
export function ChangeCame({
  change: { expectation, versionNumber },
  seen: { what, isSealed },
}: {
  change: ChangeView;
  seen: NonNullable<ChangeView['seen']>;
}) {
  const alike = OUTCOME_ORDER.filter((outcome) => what.figures[outcome]?.toldApart === false);
  return (
    <ul className="mt-1 text-tiny" aria-label={`What the change to version ${versionNumber} did`}>
      {OUTCOME_ORDER.map((outcome) => {
        const figure = what.figures[outcome];
        if (!figure) return null;
        const { noun, hue, step } = OUTCOME_WORDS[outcome];
        return (
          <Came key={outcome} isSo={figure.asExpected}>
            {noun} <span className={classes('reading font-semibold', hue)}>{step(figure.didBy)}</span>, was to
            do <span className="reading">{step(figure.expectedBy)}</span>
          </Came>
        );
      })}
      {expectation.hopes.map((hope, index) => {
        const came = what.hopes[index] ?? 'not-told';
        return (
          <Came key={hopeWords(hope)} isSo={came === 'not-told' ? null : came === 'came'}>
            {hopeWords(hope)}
            <span className="text-quiet">
              {isSealed ? ': told once your own sheet is sent' : outcomeOfHope(hope, came)}
            </span>
          </Came>
        );
      })}
      {alike.length > 0 && (
        <li className="text-quiet">
          Not told apart from the brew before: {listed(alike.map((outcome) => OUTCOME_WORDS[outcome].noun))}
        </li>
      )}
      {what.moved.length > 1 && (
        <li className="font-semibold text-alarm">
          {listed(what.moved)} moved at once: open which of them did it
        </li>
      )}
    </ul>
  );
}

function outcomeOfHope({ kind }: Hope, came: HopeSeen): string {
  if (came === 'came') return '';
  if (came === 'missed') return ', hoped for';
  return kind === 'more' || kind === 'less'
    ? ': nobody scored both at one stage'
    : ': nobody looked for it yet';
}

function Came({ isSo, children }: { isSo: boolean | null; children: ReactNode }) {
  return (
    <li className="flex gap-1.5">
      <span
        aria-label={isSo === null ? 'open' : isSo ? 'as expected' : 'not as expected'}
        role="img"
        className={classes(
          'w-3 shrink-0 text-center font-bold',
          isSo === false ? 'text-alarm' : 'text-quiet',
        )}
      >
        {isSo === null ? '·' : isSo ? '✓' : '✗'}
      </span>
      <span>{children}</span>
    </li>
  );
}
