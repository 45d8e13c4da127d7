import { armLetter, type DesignFault } from '@vendu/core';
import type { BlindTestView, ComparisonView } from '@vendu/contract';
import { useEndBlindMutation, useLookAtBlindMutation, useOpenBlindMutation } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { Fold } from '../ui/Fold';
import { listed } from '../ui/listed';
import { TroubleNotice } from '../ui/Notice';
import { saidOf } from './answer';
import { OpenedCups } from './OpenedCups';
import { Places } from './Places';
import { Pouring } from './Pouring';
import { METHOD_WORDS } from './comparisonWords';

interface Props {
  comparison: ComparisonView;
  test: BlindTestView;
  faults: readonly DesignFault[];
  isLead: boolean;
}

/** Coded cups: closed while they are tasted, an answer once a lead has opened them. */
export function BlindTest({ comparison, test, faults, isLead }: Props) {
  const letters = listed(test.arms.map(armLetter));
  return (
    <article
      className="mb-6 border-b border-rule pb-5"
      aria-label={`${METHOD_WORDS[test.method]} of ${letters}`}
    >
      <h3 className="mb-1 text-large font-semibold">
        {METHOD_WORDS[test.method]} of {letters}
        {test.asksFor !== '' && <span className="font-normal">, {test.asksFor}</span>}
      </h3>
      {test.results ? (
        <Answer comparison={comparison} test={test} faults={faults} />
      ) : (
        <Closed comparison={comparison} test={test} isLead={isLead} />
      )}
    </article>
  );
}

function Answer({ comparison, test, faults }: Omit<Props, 'isLead'>) {
  const { answers, mayNotSay } = saidOf(comparison, test, faults);
  return (
    <>
      {answers.length === 0 && <p>Opened before anybody had answered.</p>}
      {answers.map((answer) => (
        <p key={answer} className="mb-1 max-w-3xl text-large leading-snug">
          {answer}
        </p>
      ))}
      {mayNotSay.length > 0 && (
        <ul className="mt-2 max-w-3xl border-l-2 border-edge pl-3" aria-label="What may not be said">
          {mayNotSay.map((said) => (
            <li key={said} className="text-small">
              {said}
            </li>
          ))}
        </ul>
      )}
      <p className="caption mt-2">
        {test.opened && `Opened by ${test.opened.by}, ${dayAndTimeOf(test.opened.at)}`}
        {test.pouredBy.length > 0 && `; poured by ${listed(test.pouredBy)}`}
      </p>
      {test.key && <OpenedCups sets={test.key} arms={test.arms} />}
    </>
  );
}

function Closed({ comparison, test, isLead }: Omit<Props, 'faults'>) {
  const [look, looking] = useLookAtBlindMutation();
  const [end, ending] = useEndBlindMutation();
  const [open, opening] = useOpenBlindMutation();
  const trouble = troubleOf(looking.error ?? ending.error ?? opening.error);
  const taken = test.places.filter(({ isTaken }) => isTaken).length;
  const canLook = test.stages.length === 1 && test.method !== 'ranking' && test.method !== 'scores';
  const last = test.looks.at(-1);
  return (
    <>
      <p>
        {test.isOver
          ? 'Takes no more answers. A lead opens it.'
          : `Sealed: nobody sees an answer or the key before a lead opens it. Ends ${dayAndTimeOf(test.endsAt)}.`}
      </p>
      <p className="mb-3 text-small text-quiet">
        {taken} of {test.places.length} places taken
        {test.stages.map((stage) => (
          <span key={stage}>
            ; {stage}{' '}
            <span className="reading">
              {test.places.filter(({ answered }) => answered.includes(stage)).length}
            </span>
          </span>
        ))}
        {test.pouredBy.length > 0 && `; ${listed(test.pouredBy)} poured and cannot taste`}
      </p>
      {last && (
        <p className="mb-3 border-l-2 border-ink pl-3 text-small font-medium">
          {last.isEnough
            ? `At ${last.answers} answers it was enough: open it.`
            : `At ${last.answers} answers it was not enough: go on.`}
        </p>
      )}
      <div className="mb-3 flex flex-wrap gap-2">
        {isLead && (
          <Button weight={test.isOver ? 'main' : 'plain'} onClick={() => void open(test.id)}>
            Open
          </Button>
        )}
        {!test.isOver && <Button onClick={() => void end(test.id)}>End</Button>}
        {isLead && !test.isOver && canLook && (
          <Button onClick={() => void look(test.id)}>Is it enough yet?</Button>
        )}
        <a
          href={`/api/blind-tests/${test.id}/labels.pdf`}
          target="_blank"
          rel="noreferrer"
          className="inline-flex h-9 items-center px-2 text-small text-quiet underline underline-offset-3 hover:text-ink"
        >
          Labels to print
        </a>
      </div>
      <TroubleNotice trouble={trouble} />
      {!test.isOver && (
        <Fold summary="Places and their codes for phones" isOpenAtFirst={taken === 0}>
          <Places test={test} phoneOrigin={comparison.phoneOrigin} />
        </Fold>
      )}
      {!test.isOver && (
        <Fold summary="Pouring sheet, for whoever does not taste">
          <Pouring test={test} />
        </Fold>
      )}
    </>
  );
}
