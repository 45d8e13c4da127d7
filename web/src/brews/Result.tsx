import { aimOf, aimSourceOf } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { ExtractionMap } from '../extractionMap/ExtractionMap';
import { useKitQuery } from '../lots/lotsApi';
import { useRecipeQuery } from '../recipes/recipesApi';
import { OutcomePanel } from './OutcomePanel';
import { ReadingsForm } from './ReadingsForm';
import { ResultFigures } from './ResultFigures';
import { useOutcome } from './useOutcome';
import { WeighForm } from './WeighForm';

/** What a brew came to, beside its forecast; and where what was weighed and read is written down. */
export function Result({ brew }: { brew: BrewView }) {
  const { data: kit } = useKitQuery();
  const { data: recipe } = useRecipeQuery(brew.recipeId);
  const [schools, own] = [recipe?.schools, recipe?.aim ?? null];
  const outcome = useOutcome(brew, kit);
  return (
    <div className="grid grid-cols-1 gap-10 xl:grid-cols-[minmax(0,1fr)_480px]">
      <div className="flex min-w-0 flex-col gap-8">
        <section>
          <h2 className="heading mb-4">Strength and yield</h2>
          <ResultFigures brew={brew} />
        </section>
        <div className="grid grid-cols-1 gap-8 md:grid-cols-[3fr_2fr]">
          <section>
            <h2 className="heading mb-3">Weighed</h2>
            <WeighForm brew={brew} />
          </section>
          <section id="readings">
            <h2 className="heading mb-3">Refractometer</h2>
            <ReadingsForm brew={brew} modelTdsPercent={outcome?.asDone.tdsPercent.value ?? null} />
          </section>
        </div>
      </div>
      <section>
        <h2 className="heading mb-2">Extraction map</h2>
        {kit && recipe && (
          <ExtractionMap
            brews={[...brew.siblings, brew].sort((a, b) => a.number - b.number)}
            currentId={brew.id}
            forecast={outcome?.planned}
            aim={aimOf(kit.house.window, schools, own)}
            aimSource={aimSourceOf(schools, own)}
            height={300}
          />
        )}
        {outcome && (
          <>
            <h3 className="heading mt-5 mb-2">Forecast and result</h3>
            <OutcomePanel brew={brew} outcome={outcome} />
          </>
        )}
      </section>
    </div>
  );
}
