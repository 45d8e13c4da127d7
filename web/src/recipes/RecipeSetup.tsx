import { aimOf, aimSourceOf } from '@vendu/core';
import type { KitView, RecipeSetupDto, RecipeView } from '@vendu/contract';
import { troubleOf, troubleUnder } from '../api/problem';
import { KitChoice } from '../kit/KitChoice';
import { kettleOptions, waterOptions } from '../kit/kitOptions';
import { TroubleNotice } from '../ui/Notice';
import { AimChoice } from './AimChoice';
import { useSetUpRecipeMutation } from '../api/recipesApi';

/** Water, kettle and aim of a recipe: they may change under it. Another paper or brewer makes another recipe. */
export function RecipeSetup({ recipe, kit }: { recipe: RecipeView; kit: KitView }) {
  const [setUp, { error }] = useSetUpRecipeMutation();
  async function change(changed: Partial<RecipeSetupDto>) {
    const { waterId, kettleId, aim } = recipe;
    const { error: refused } = await setUp({ id: recipe.id, setup: { waterId, kettleId, aim, ...changed } });
    return troubleUnder(troubleOf(refused), 'aim.');
  }
  return (
    <section>
      <h2 className="heading mb-2">Water, kettle and aim</h2>
      <div className="grid grid-cols-2 gap-3">
        <KitChoice<number | null>
          label="Which water"
          value={recipe.waterId}
          none="not set"
          options={waterOptions(kit)}
          onChange={(waterId) => void change({ waterId })}
        />
        <KitChoice<number | null>
          label="Which kettle"
          value={recipe.kettleId}
          none="not set"
          options={kettleOptions(kit)}
          onChange={(kettleId) => void change({ kettleId })}
        />
      </div>
      <div className="mt-3">
        <AimChoice
          aim={aimOf(kit.house.window, recipe.schools, recipe.aim)}
          source={aimSourceOf(recipe.schools, recipe.aim)}
          draftKey={`recipe.${recipe.id}.aim`}
          onChoose={(aim) => change({ aim })}
        />
      </div>
      <TroubleNotice trouble={troubleOf(error)} />
    </section>
  );
}
