import { useState } from 'react';
import { Link } from 'react-router';
import { CHECK_NAMES, findingWords } from '@vendu/core';
import { WAIVER_REASON, type ProofCheckView, type ProofView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useTakeWaiverBackMutation, useWaiveMutation } from '../api/proofApi';
import { useDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { offerUndoOf } from '../ui/offerUndo';

interface ChecksProps {
  proof: ProofView;
  isLead: boolean;
  isSigned: boolean;
}

const MARK: Record<ProofCheckView['state'], { sign: string; words: string; look: string }> = {
  met: { sign: '✓', words: 'holds', look: 'border-ink bg-ink text-sheet' },
  waived: { sign: '~', words: 'waived', look: 'border-dashed border-ink text-ink' },
  missing: { sign: '', words: 'missing', look: 'border-edge' },
};

/** Each check, what was found for it and the brews that it rests on; a lead may waive one with a reason. */
export function Checks({ proof, isLead, isSigned }: ChecksProps) {
  return (
    <section>
      <h2 className="heading">Checklist</h2>
      <ol>
        {proof.checks.map((check) => (
          <Check key={check.check} check={check} proof={proof} mayWaive={isLead && !isSigned} />
        ))}
      </ol>
    </section>
  );
}

function Check({ check, proof, mayWaive }: { check: ProofCheckView; proof: ProofView; mayWaive: boolean }) {
  const { sign, words, look } = MARK[check.state];
  const brews = proof.brews.filter(({ id }) => check.brewIds.includes(id)).reverse();
  const [takeBack, takingBack] = useTakeWaiverBackMutation();
  const [waiveAgain] = useWaiveMutation();
  return (
    <li className="grid grid-cols-[1.5rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-3 sm:grid-cols-[1.5rem_13rem_minmax(0,1fr)]">
      <span aria-hidden className={classes('mt-0.5 grid size-5 place-items-center border text-small', look)}>
        {sign}
      </span>
      <h3 className={check.state === 'missing' ? 'font-semibold' : 'font-medium text-quiet'}>
        <span className="first-letter:uppercase inline-block">{CHECK_NAMES[check.check]}</span>
        <span className="sr-only">: {words}</span>
      </h3>
      <div className="col-start-2 flex flex-wrap items-start gap-x-4 gap-y-1 text-small sm:col-start-3">
        <p className={classes('min-w-[14rem] flex-1', check.state !== 'missing' && 'text-quiet')}>
          {findingWords(check.finding)}
          {brews.map(({ id, number }) => (
            <Link
              key={id}
              to={`/brews/${id}`}
              className="ml-2 whitespace-nowrap underline underline-offset-3 hover:text-ink"
            >
              brew {number}
            </Link>
          ))}
        </p>
        {check.waiver && check.state === 'waived' && (
          <p className="w-full">
            Waived: {check.waiver.reason}{' '}
            {check.waived && (
              <span className="caption">
                {check.waived.by}, {dayOf(check.waived.at)}
              </span>
            )}
            {mayWaive && (
              <button
                type="button"
                className="ml-2 text-tiny text-quiet underline hover:text-ink"
                onClick={() => {
                  const which = { versionId: proof.recipeVersionId, check: check.check };
                  const { reason } = check.waiver ?? { reason: '' };
                  void offerUndoOf(
                    takeBack(which),
                    `Waiver taken back: ${CHECK_NAMES[check.check]}`,
                    () => void waiveAgain({ ...which, reason }),
                  );
                }}
              >
                take back
              </button>
            )}
          </p>
        )}
        {check.state === 'missing' && mayWaive && <Waive check={check} versionId={proof.recipeVersionId} />}
        <TroubleNotice trouble={troubleOf(takingBack.error)} />
      </div>
    </li>
  );
}

/** A lead lets a check pass; why stays with it. */
function Waive({ check: { check }, versionId }: { check: ProofCheckView; versionId: number }) {
  const [isOpen, setOpen] = useState(false);
  const [reason, setReason, forget] = useDraft(`waiver.${versionId}.${check}`, '');
  const [waive, { error, isLoading }] = useWaiveMutation();
  const trouble = troubleOf(error);
  if (!isOpen && reason === '') {
    return (
      <Button
        weight="quiet"
        className="-my-1.5"
        aria-label={`Waive: ${CHECK_NAMES[check]}`}
        onClick={() => setOpen(true)}
      >
        Waive
      </Button>
    );
  }
  return (
    <form
      noValidate
      className="flex w-full flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void waive({ versionId, check, reason }).then(({ data }) => data && forget());
      }}
    >
      <Field label="Why it may pass" className="grow" error={byField(trouble?.errors ?? [])['reason']}>
        {(control) => (
          <input
            {...control}
            autoFocus
            className={INPUT}
            maxLength={WAIVER_REASON.max}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        )}
      </Field>
      <Button type="submit" disabled={isLoading}>
        Waive
      </Button>
      <Button
        weight="quiet"
        onClick={() => {
          forget();
          setOpen(false);
        }}
      >
        Cancel
      </Button>
      {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </form>
  );
}
