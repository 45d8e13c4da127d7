import { INTENSITIES, TASTING_STAGES, type Intensity, type TastingStage } from '@vendu/core';
import type { BrewView, TastingDto, TastingView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSessionQuery } from '../session/sessionApi';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { SavedMark } from '../saving/SavedMark';
import { useSaved } from '../saving/useSaved';
import { INTENSITY_WORDS } from '../ui/words';
import { usePutTastingMutation } from '../api/brewsApi';
import { IntensitySlider } from './IntensitySlider';

const STAGE_WORDS: Record<TastingStage, { name: string; hint: string }> = {
  hot: { name: 'Hot', hint: 'as served' },
  warm: { name: 'Warm', hint: 'after some ten minutes' },
  cool: { name: 'Cool', hint: 'near room temperature' },
};

/** What it tasted of at each stage; the verdict often turns when the cup cools. */
export function TastingSheets({ brew }: { brew: BrewView }) {
  const personId = useSessionQuery().data?.person?.id;
  return (
    <div className="grid grid-cols-1 gap-8 lg:grid-cols-3">
      {TASTING_STAGES.map((stage) => {
        const ofStage = brew.tastings.filter((tasting) => tasting.stage === stage);
        return (
          <Sheet
            key={`${brew.id}.${stage}`}
            brewId={brew.id}
            stage={stage}
            mine={ofStage.find((tasting) => tasting.personId === personId)}
            others={ofStage.filter((tasting) => tasting.personId !== personId)}
          />
        );
      })}
    </div>
  );
}

function intensityWords(intensities: TastingView['intensities']): string {
  return INTENSITIES.flatMap((name) =>
    intensities[name] === null ? [] : [`${name} ${intensities[name]}`],
  ).join(', ');
}

const NOTHING_SAID = Object.fromEntries(INTENSITIES.map((name) => [name, null])) as Record<
  Intensity,
  number | null
>;

function Sheet({
  brewId,
  stage,
  mine,
  others,
}: {
  brewId: number;
  stage: TastingStage;
  mine: TastingView | undefined;
  others: TastingView[];
}) {
  const stored: TastingDto = { notes: mine?.notes ?? '', intensities: mine?.intensities ?? NOTHING_SAID };
  const [put] = usePutTastingMutation();
  const saved = useSaved<TastingDto>({
    draftKey: `brew.${brewId}.tasting.${stage}`,
    stored,
    send: async (sheet) => troubleOf((await put({ id: brewId, stage, tasting: sheet })).error),
  });
  const tasting = saved.value;
  const { name, hint } = STAGE_WORDS[stage];
  return (
    <section aria-label={`${name} tasting`} className="flex flex-col gap-2">
      <h3 className="font-semibold">
        {name} <span className="caption font-normal">{hint}</span>
      </h3>
      <Field label="What it tastes of">
        {(control) => (
          <textarea
            {...control}
            rows={2}
            maxLength={1000}
            className={`${INPUT} h-auto py-1.5`}
            value={tasting.notes}
            onChange={(event) => saved.type({ ...tasting, notes: event.target.value })}
            onBlur={saved.save}
          />
        )}
      </Field>
      {/* A row of scores goes out when the row is left, not at each of its steps. */}
      <div onBlur={saved.save}>
        {INTENSITIES.map((intensity) => (
          <IntensitySlider
            key={intensity}
            label={INTENSITY_WORDS[intensity]}
            value={tasting.intensities[intensity]}
            onChange={(value) =>
              saved.type({ ...tasting, intensities: { ...tasting.intensities, [intensity]: value } })
            }
          />
        ))}
      </div>
      <TroubleNotice trouble={saved.state.kind === 'unsaved' ? saved.state.trouble : null} />
      <SavedMark saved={saved} what={`the ${stage} tasting`} />
      {others.map(({ by, notes, intensities }) => (
        <div key={by} className="border-l-2 border-edge pl-2 text-small">
          <p>
            {notes} <span className="caption">{by}</span>
          </p>
          <p className="caption">{intensityWords(intensities)}</p>
        </div>
      ))}
    </section>
  );
}
