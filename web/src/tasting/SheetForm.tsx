import { useEffect, useRef } from 'react';
import {
  EMPTY_SHEET,
  isBlankSheet,
  TASTED_FINDINGS,
  VESSELS,
  type AromaMoment,
  type Finding,
  type TastingSheet,
  type TastingStage,
} from '@vendu/core';
import type { CupView, TastingView } from '@vendu/contract';
import { usePutTastingMutation } from '../api/cupsApi';
import { troubleOf } from '../api/problem';
import { SavedMark } from '../saving/SavedMark';
import { useSaved } from '../saving/useSaved';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field, INPUT } from '../ui/Field';
import { FINDING_WORDS } from '../ui/findingWords';
import { TroubleNotice } from '../ui/Notice';
import { Toggles } from '../ui/Toggles';
import { TASTING_STAGE_WORDS, VESSEL_WORDS } from '../ui/words';
import { NotesField } from './NotesField';
import { ScoreGrid } from './ScoreGrid';

/** When a nose is put to what: grounds and swirled cup before the first sip, the emptied cup at the end. */
const AROMAS: Record<TastingStage, { moment: AromaMoment; label: string }[]> = {
  hot: [
    { moment: 'dry', label: 'Aroma of the dry grounds' },
    { moment: 'swirled', label: 'Aroma, cup swirled' },
  ],
  warm: [],
  cool: [{ moment: 'emptied', label: 'Aroma of the emptied cup' }],
};

interface SheetFormProps {
  cup: CupView;
  stage: TastingStage;
  personId: number;
}

/** One's own sheet of one stage: kept on this device while it is filled, sent as a whole. */
export function SheetForm({ cup, stage, personId }: SheetFormProps) {
  const own = cup.tastings.filter((sheet) => sheet.personId === personId);
  const mine = own.find((sheet) => sheet.stage === stage);
  const [put] = usePutTastingMutation();
  const saved = useSaved<TastingSheet>({
    draftKey: `brew.${cup.id}.sheet.${stage}`,
    stored: mine ? asSheet(mine) : { ...EMPTY_SHEET, ...asBefore(own.at(-1)) },
    send: async (sheet) =>
      troubleOf((await put({ id: cup.id, stage, tasting: { ...sheet, faults: [...sheet.faults] } })).error),
  });
  const sheet = saved.value;
  const change = (next: Partial<TastingSheet>) => saved.type({ ...sheet, ...next });
  const grid = useRef<HTMLDivElement>(null);
  const notes = useRef<HTMLInputElement | null>(null);
  const sendButton = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    grid.current
      ?.querySelector<HTMLElement>('[role="spinbutton"][tabindex="0"]')
      ?.focus({ preventScroll: true });
  }, []);
  const isUntouched = saved.state.kind === 'still' || saved.state.kind === 'saved';
  const canSend = !isBlankSheet(sheet) && (!mine || !isUntouched);
  const send = () => {
    if (canSend) saved.save();
  };
  return (
    <form
      aria-label={`${TASTING_STAGE_WORDS[stage]} sheet`}
      className="grid grid-cols-1 gap-x-12 gap-y-5 lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
        event.preventDefault();
        send();
      }}
    >
      <div ref={grid}>
        <ScoreGrid sheet={sheet} onChange={saved.type} onDone={() => notes.current?.focus()} />
      </div>
      <div className="flex flex-col gap-4">
        {AROMAS[stage].length > 0 && (
          <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
            {AROMAS[stage].map(({ moment, label }) => (
              <Field key={moment} label={label}>
                {(control) => (
                  <input
                    {...control}
                    maxLength={200}
                    className={INPUT}
                    value={sheet.aromas[moment]}
                    onChange={(event) =>
                      change({ aromas: { ...sheet.aromas, [moment]: event.target.value } })
                    }
                  />
                )}
              </Field>
            ))}
          </div>
        )}
        <NotesField
          hold={(input) => {
            notes.current = input;
          }}
          value={sheet.notes}
          onChange={(text) => change({ notes: text })}
          onLeave={() => sendButton.current?.focus()}
        />
        <div role="group" aria-label="Faults">
          <p className="mb-1 text-small font-medium text-quiet">Faults, against what this lot is to show</p>
          <div className="flex flex-wrap gap-1.5">
            <Toggles
              options={TASTED_FINDINGS.map((value) => ({ value, label: FINDING_WORDS[value] }))}
              on={sheet.faults}
              onToggle={(fault) => change({ faults: toggled(sheet.faults, fault) })}
            />
          </div>
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-3">
          <div>
            <p className="mb-1 text-small font-medium text-quiet">Tasted from</p>
            <Choice
              label="Tasted from"
              className="max-w-full flex-wrap"
              value={sheet.vessel}
              options={VESSELS.map((value) => ({ value, label: VESSEL_WORDS[value] }))}
              onChange={(vessel) => change({ vessel })}
            />
          </div>
          <div>
            <p className="mb-1 text-small font-medium text-quiet">And then</p>
            <Choice
              label="And then"
              value={sheet.isSpat ? 'spat' : 'swallowed'}
              options={[
                { value: 'swallowed', label: 'swallowed' },
                { value: 'spat', label: 'spat' },
              ]}
              onChange={(what) => change({ isSpat: what === 'spat' })}
            />
          </div>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          <Button
            ref={sendButton}
            type="submit"
            weight="main"
            shortcut="Ctrl ↵"
            className="h-11 px-5"
            disabled={!canSend}
          >
            {mine ? 'Send it again' : 'Send this sheet'}
          </Button>
          {mine && (
            <span className="text-small text-quiet">
              Sent. What it said first is kept once others have sent theirs.
            </span>
          )}
        </div>
        <TroubleNotice trouble={saved.state.kind === 'unsaved' ? saved.state.trouble : null} />
        {saved.state.kind === 'unsaved' && saved.state.trouble && (
          <SavedMark saved={saved} what={`the ${stage} sheet`} />
        )}
      </div>
    </form>
  );
}

function asSheet(view: TastingView): TastingSheet {
  const { aromas, vessel, intensities, likings, overall, faults, notes, isSpat } = view;
  return { aromas, vessel, intensities, likings, overall, faults, notes, isSpat };
}

/** From what and how it was tasted stays as it was at the stage before. */
function asBefore(last: TastingView | undefined): Partial<TastingSheet> {
  return last ? { vessel: last.vessel, isSpat: last.isSpat } : {};
}

function toggled(faults: readonly Finding[], fault: Finding): Finding[] {
  return faults.includes(fault) ? faults.filter((each) => each !== fault) : [...faults, fault];
}
