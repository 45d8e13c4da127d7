import { isHeard, type FigureReason, type FigureStep, type StartingReasons } from '@vendu/core';
import { SCHOOL_WORDS } from '../schools/schoolWords';
import { classes } from '../ui/classes';
import { Explain } from '../ui/Explain';
import { FIGURE_WORDS, LIMIT_WORDS, signed } from './figureWords';
import { GrindReason } from './GrindReason';
import { RatioReason } from './RatioReason';

interface ReasonListProps {
  reasons: StartingReasons;
  /** Switches a rule off or on for this lot; left out where the recipe is kept already. */
  onSwitch?: (ruleId: string) => void;
}

/** Every figure of the starting recipe with what moved it; each opens to show the way from the house recipe. */
export function ReasonList({ reasons, onSwitch }: ReasonListProps) {
  return (
    <ul className="text-small">
      {reasons.figures
        // A figure that most recipes leave as it is would only be in the way.
        .filter((reason) => !FIGURE_WORDS[reason.figure].isQuiet || reason.steps.length > 0)
        // Where nobody set a drain time it follows from the grind, and is said there.
        .filter(({ figure }) => figure !== 'drawdownS' || reasons.grindFit?.targetDrawdownS !== null)
        .map((reason) => (
          <ReasonRow key={reason.figure} reason={reason} reasons={reasons} onSwitch={onSwitch} />
        ))}
      {reasons.derived.map(({ figure, because }) => (
        <li key={figure} className="grid grid-cols-[7.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
          <span className="text-quiet first-letter:uppercase">{figure}</span>
          <span>{because}</span>
        </li>
      ))}
      {(reasons.offers ?? [])
        .filter(({ isTaken }) => isTaken)
        .map(({ id, what, because }) => (
          <li key={id} className="grid grid-cols-[7.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
            <span className="text-quiet">Taken besides</span>
            <span>
              <span className="font-medium">{what}:</span> {because}
            </span>
          </li>
        ))}
      {(reasons.supposed ?? []).map(({ fact, instead }) => (
        <li key={fact} className="grid grid-cols-[7.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
          <span className="text-quiet first-letter:uppercase">{fact}</span>
          <span>
            <span className="font-medium">not known:</span> {instead}
          </span>
        </li>
      ))}
      {(reasons.kitNotes ?? []).map(({ part, note }) => (
        <li key={part} className="grid grid-cols-[7.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
          <span className="text-quiet first-letter:uppercase">{part}</span>
          <span>{note}</span>
        </li>
      ))}
      {(reasons.notes ?? []).map(({ school, note }) => (
        <li key={school} className="grid grid-cols-[7.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
          <span className="text-quiet">{SCHOOL_WORDS[school].name}</span>
          <span>
            {note} <span className="text-quiet">(house style)</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

function ReasonRow({
  reason,
  reasons,
  onSwitch,
}: {
  reason: FigureReason;
  reasons: StartingReasons;
  onSwitch?: ((ruleId: string) => void) | undefined;
}) {
  const { name, print } = FIGURE_WORDS[reason.figure];
  const fit = reason.figure === 'grindUm' ? reasons.grindFit : undefined;
  const aim = reason.figure === 'ratio' ? reasons.ratioForAim : undefined;
  const base = aim ? 'the aim’s ratio' : 'house recipe';
  return (
    <li className="grid grid-cols-[7.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
      <span>
        <span className="block text-quiet">{name}</span>
        <span className="reading font-medium">{print(fit?.grindUm ?? reason.value)}</span>
      </span>
      <span>
        {aim && <RatioReason aim={aim} />}
        {reason.steps.length === 0
          ? !aim && <span className="mr-2 text-quiet">as in the house recipe</span>
          : reason.steps.map((step) => (
              <Push key={step.ruleId} step={step} steps={reason.steps} onSwitch={onSwitch} />
            ))}
        {fit && <GrindReason fit={fit} />}
        <Explain label={`Where ${name.toLowerCase()} comes from`} trigger="show the sum">
          <p className="mb-2 font-semibold">{name}</p>
          <table className="w-full">
            <tbody>
              <tr>
                <td className="py-1 pr-3">{base}</td>
                <td className="reading py-1 text-right whitespace-nowrap">{print(reason.houseValue)}</td>
              </tr>
              {reason.steps.map((step) => (
                <tr key={step.ruleId} className={isHeard(step) ? '' : 'text-quiet line-through'}>
                  <td className="py-1 pr-3">{step.because}</td>
                  <td className="reading py-1 text-right align-top">{signed(step.by)}</td>
                </tr>
              ))}
              {reason.limitedBy && (
                <tr>
                  <td className="py-1 pr-3 text-quiet" colSpan={2}>
                    {LIMIT_WORDS[reason.limitedBy]}
                  </td>
                </tr>
              )}
              <tr className="border-t border-ink font-semibold">
                <td className="py-1 pr-3">{fit ? 'set by the rules' : 'proposed'}</td>
                <td className="reading py-1 text-right whitespace-nowrap">{print(reason.value)}</td>
              </tr>
              {fit && (
                <tr className="font-semibold">
                  <td className="py-1 pr-3">proposed, set by the model</td>
                  <td className="reading py-1 text-right whitespace-nowrap">{print(fit.grindUm)}</td>
                </tr>
              )}
            </tbody>
          </table>
          <p className="caption mt-2">
            Directions are common practice; the sizes are this house’s first steps, not measurements.
          </p>
        </Explain>
      </span>
    </li>
  );
}

/** One push with its size, which way it pulls, who spoke, and who silenced it. */
function Push({
  step,
  steps,
  onSwitch,
}: {
  step: FigureStep;
  steps: readonly FigureStep[];
  onSwitch?: ((ruleId: string) => void) | undefined;
}) {
  const winner = steps.find(({ ruleId }) => ruleId === step.overruledBy);
  return (
    <span className="mb-0.5 grid grid-cols-[2.75rem_1fr_auto] items-start gap-x-2">
      <span className={classes('reading', isHeard(step) ? 'font-medium' : 'text-quiet line-through')}>
        {signed(step.by)}
      </span>
      <span className={isHeard(step) ? '' : 'text-quiet'}>
        {step.because}
        {step.school && <span className="text-quiet"> (house style: {SCHOOL_WORDS[step.school].name})</span>}
        {winner && <span className="block">overruled: {winner.because}</span>}
      </span>
      {onSwitch && (
        <button
          type="button"
          aria-pressed={step.switchedOff === true}
          aria-label={`Switch off: ${step.because}`}
          onClick={() => onSwitch(step.ruleId)}
          className="px-1 text-tiny text-quiet underline underline-offset-3 hover:text-ink"
        >
          {step.switchedOff ? 'switch on' : 'switch off'}
        </button>
      )}
    </span>
  );
}
