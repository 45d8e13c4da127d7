import { HAZES, type BrewView, type FractionDto, type Haze } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { Notice, TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, GRAMS, PERCENT_FINE, inRange } from '../ui/quantities';
import { SavedMark } from '../saving/SavedMark';
import { useSaved } from '../saving/useSaved';
import { usePutFractionsMutation } from '../api/brewsApi';
import { CupsBeside } from './CupsBeside';
import { CUP_COLOURS } from './cupColours';
import { CupsCut } from './CupsCut';
import { CupsRow } from './CupsRow';
import { CupsTogether } from './CupsTogether';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-3 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1 pr-3 align-top';

/** The cups of a split brew: weighed, read where somebody did, looked at, tasted. */
export function Cups({ brew }: { brew: BrewView }) {
  const [put] = usePutFractionsMutation();
  const saved = useSaved<FractionDto[]>({
    draftKey: `brew.${brew.id}.cups`,
    stored: cupsOf(brew),
    send: async (fractions) => troubleOf((await put({ id: brew.id, fractions })).error),
  });
  const { value: cups, state } = saved;
  const trouble = state.kind === 'unsaved' ? state.trouble : null;
  const errors = byField(trouble?.errors ?? [], 'fractions.');
  const changed = (index: number, more: Partial<FractionDto>) =>
    cups.map((cup, at) => (at === index ? { ...cup, ...more } : cup));
  const set = (index: number, more: Partial<FractionDto>) => saved.put(changed(index, more));
  const type = (index: number, more: Partial<FractionDto>) => saved.type(changed(index, more));
  const weighedG = cups.reduce((sum, { beverageG }) => sum + (beverageG ?? 0), 0);
  return (
    <section>
      <h2 className="heading mb-2">Cups of the split brew</h2>
      <datalist id="cup-colours">
        {CUP_COLOURS.map(({ name }) => (
          <option key={name}>{name}</option>
        ))}
      </datalist>
      <WideTable>
        <table className="w-full min-w-[58rem] text-small">
          <thead>
            <tr>
              {['Cup', 'From', 'To', 'Mass', 'Strength', 'Colour', 'Haze', 'Notes', 'Wanted'].map((head) => (
                <th key={head} className={HEAD}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {cups.map((cup, index) => {
              const name = `Cup ${index + 1}`;
              const time = inRange(CLOCK, { label: 'Time', min: 0, max: 7200 });
              return (
                <tr key={index}>
                  <td className={`${CELL} pt-3 font-semibold`}>{name}</td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, from`}
                      quantity={time}
                      value={cup.startS}
                      onCommit={(startS) => set(index, { startS })}
                      error={errors[`${index}.startS`]}
                    />
                  </td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, to`}
                      quantity={time}
                      value={cup.endS}
                      onCommit={(endS) => set(index, { endS })}
                      error={errors[`${index}.endS`]}
                    />
                  </td>
                  <td className={`${CELL} w-28`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, mass`}
                      quantity={inRange(GRAMS, { label: 'Mass of the cup', min: 0, max: 2000 })}
                      value={cup.beverageG}
                      onCommit={(beverageG) => set(index, { beverageG })}
                      onClear={() => set(index, { beverageG: null })}
                      error={errors[`${index}.beverageG`]}
                    />
                  </td>
                  <td className={`${CELL} w-28`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, strength`}
                      quantity={inRange(PERCENT_FINE, { label: 'Strength of the cup', min: 0, max: 20 })}
                      value={cup.tdsPercent}
                      onCommit={(tdsPercent) => set(index, { tdsPercent })}
                      onClear={() => set(index, { tdsPercent: null })}
                      placeholder="–"
                      error={errors[`${index}.tdsPercent`]}
                    />
                  </td>
                  <td className={`${CELL} w-36`}>
                    <input
                      aria-label={`${name}, colour`}
                      className={INPUT}
                      maxLength={60}
                      list="cup-colours"
                      value={cup.colour}
                      onChange={({ target }) => type(index, { colour: target.value })}
                      onBlur={saved.save}
                    />
                  </td>
                  <td className={`${CELL} w-28`}>
                    <select
                      aria-label={`${name}, haze`}
                      className={INPUT}
                      value={cup.haze ?? ''}
                      onChange={({ target }) =>
                        set(index, { haze: target.value === '' ? null : (target.value as Haze) })
                      }
                    >
                      <option value="">–</option>
                      {HAZES.map((haze) => (
                        <option key={haze}>{haze}</option>
                      ))}
                    </select>
                  </td>
                  <td className={CELL}>
                    <input
                      aria-label={`${name}, notes`}
                      className={INPUT}
                      maxLength={300}
                      value={cup.notes}
                      onChange={({ target }) => type(index, { notes: target.value })}
                      onBlur={saved.save}
                    />
                  </td>
                  <td className={`${CELL} pt-3`}>
                    <input
                      type="checkbox"
                      aria-label={`${name} is wanted`}
                      className="size-5 accent-ink"
                      checked={cup.isWanted === true}
                      onChange={({ target }) => set(index, { isWanted: target.checked })}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </WideTable>
      <div className="mt-3 flex items-center gap-4">
        <Button onClick={() => saved.put([...cups, nextCup(cups, brew)])}>Another cup</Button>
        <span className="text-small text-quiet">
          <span className="reading text-water">{weighedG.toFixed(1)} g</span> in {cups.length} cups
          {brew.beverageG !== null && `, ${brew.beverageG} g weighed as a whole`}
        </span>
      </div>
      <CupsRow cups={cups} />
      <CupsTogether cups={cups} isRead={brew.result !== null} />
      <CupsCut brew={brew} cups={cups} />
      <CupsBeside brew={brew} cups={cups} />
      {Object.keys(errors).length === 0 && <TroubleNotice trouble={trouble} />}
      <SavedMark saved={saved} what="the cups" />
      <Notice>Taste the whole brew too: it may show what no cup does.</Notice>
    </section>
  );
}

const EMPTY = { beverageG: null, tdsPercent: null, colour: '', haze: null, notes: '', isWanted: null };

/** What is written down, else a cup for each stretch between the marks of the bench. */
function cupsOf(brew: BrewView): FractionDto[] {
  if (brew.fractions.length > 0) return brew.fractions.map(({ place, ...cup }) => cup);
  const changesS = brew.events.filter(({ kind }) => kind === 'cup-changed').map(({ atS }) => atS);
  const edgesS = [0, ...changesS, endOf(brew)];
  return edgesS
    .slice(1)
    .map((endS, index) => ({ ...EMPTY, startS: edgesS[index] ?? 0, endS }))
    .filter(({ startS, endS }) => endS > startS);
}

function nextCup(cups: readonly FractionDto[], brew: BrewView): FractionDto {
  const startS = cups.at(-1)?.endS ?? 0;
  return { ...EMPTY, startS, endS: Math.max(startS + 15, endOf(brew)) };
}

function endOf(brew: BrewView): number {
  return brew.steps.at(-1)?.atS ?? brew.plan.drawdownS;
}

/** Whether a brew was split at the bench, or its cups were written down. */
export function isSplit(brew: BrewView): boolean {
  return brew.fractions.length > 0 || brew.events.some(({ kind }) => kind === 'cup-changed');
}
