import { INTENSITIES, TASTING_STAGES, type Intensity, type TastingStage } from '@vendu/core';
import type { BrewView, TastingDto, TastingView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../app/draft';
import { useSessionQuery } from '../session/sessionApi';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { INTENSITY_WORDS } from '../ui/words';
import { usePutTastingMutation } from './brewsApi';
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
  const [draft, change, drop] = useDraft<TastingDto | null>(`brew.${brewId}.tasting.${stage}`, null);
  const [put, { error, isLoading }] = usePutTastingMutation();
  const tasting = draft ?? stored;
  const { name, hint } = STAGE_WORDS[stage];
  async function save() {
    const { data } = await put({ id: brewId, stage, tasting });
    if (!data) return;
    change(null);
    drop();
  }
  return (
    <section aria-label={`${name} tasting`} className="flex flex-col gap-3">
      <h3 className="font-semibold">
        {name} <span className="caption font-normal">{hint}</span>
      </h3>
      {others.map(({ by, notes, intensities }) => (
        <div key={by} className="border-l-2 border-edge pl-2 text-small">
          <p>
            {notes} <span className="caption">{by}</span>
          </p>
          <p className="caption">{intensityWords(intensities)}</p>
        </div>
      ))}
      <Field label="What it tastes of">
        {(control) => (
          <textarea
            {...control}
            rows={2}
            maxLength={1000}
            className={`${INPUT} h-auto py-1.5`}
            value={tasting.notes}
            onChange={(event) => change({ ...tasting, notes: event.target.value })}
          />
        )}
      </Field>
      <div>
        {INTENSITIES.map((intensity) => (
          <IntensitySlider
            key={intensity}
            label={INTENSITY_WORDS[intensity]}
            value={tasting.intensities[intensity]}
            onChange={(value) =>
              change({ ...tasting, intensities: { ...tasting.intensities, [intensity]: value } })
            }
          />
        ))}
      </div>
      <TroubleNotice trouble={troubleOf(error)} />
      {draft && (
        <Button weight="main" className="self-start" disabled={isLoading} onClick={() => void save()}>
          Save the {stage} tasting
        </Button>
      )}
    </section>
  );
}
