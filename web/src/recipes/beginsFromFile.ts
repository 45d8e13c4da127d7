import { formatRatio, grindWords, kettleWords, planRatio, type RecipeFile } from '@vendu/core';
import { ownGrinderOptions } from '../kit/kitOptions';
import { VERSION_NOTE, type KitView, type NewRecipeDto } from '@vendu/contract';

interface Begun {
  recipe: NewRecipeDto;
  /** What the file holds, in a line. */
  words: string;
  /** Which of its kit this house has not, and what is taken instead; empty where it has all. */
  missing: string;
}

/** A recipe of this house from a file: its kit found by name, and what is chosen here where there is none of the name. */
export function beginsFromFile(file: RecipeFile, kit: KitView, asked: NewRecipeDto): Begun {
  const found = {
    brewer: byName(kit.brewers, file.brewer),
    paper: byName(kit.papers, file.paper),
    grinder: byName(ownGrinderOptions(kit), file.grinder),
    water: byName(kit.waters, file.water),
    kettle: byName(kit.kettles, file.kettle),
  };
  const lacking = (Object.keys(found) as (keyof typeof found)[]).filter(
    (part) => file[part] !== null && found[part] === null,
  );
  const from = `From a file: ${file.lot}, ${file.brewer}, version ${file.versionNumber}`;
  return {
    words: `${file.lot}, ${file.brewer}: ${file.plan.doseG} g, ${formatRatio(planRatio(file.plan))}, ${kettleWords(file.plan)}, ${grindWords(file.plan)}`,
    missing:
      lacking.length === 0
        ? ''
        : `This house has no ${lacking.map((part) => file[part]).join(', no ')}: what is chosen on the page is taken instead.`,
    recipe: {
      ...asked,
      brewerId: found.brewer ?? asked.brewerId,
      paperId: found.paper ?? asked.paperId,
      grinderId: found.grinder ?? asked.grinderId,
      waterId: file.water === null ? asked.waterId : (found.water ?? asked.waterId),
      kettleId: file.kettle === null ? asked.kettleId : (found.kettle ?? asked.kettleId),
      switchedOff: [],
      offersTaken: [],
      plan: file.plan,
      note: file.note === '' ? from : `${from}: ${file.note}`.slice(0, VERSION_NOTE.max),
    },
  };
}

function byName(things: readonly { id: number; name: string }[], name: string | null): number | null {
  return things.find((each) => each.name === name)?.id ?? null;
}
