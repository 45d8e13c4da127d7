import type { KitView } from '@vendu/contract';
import { SHAPE_WORDS } from '../ui/words';

interface KitOption {
  id: number;
  name: string;
  detail: string;
}

// Kit to choose from, each with what tells it from another of like name.

export function brewerOptions({ brewers }: Pick<KitView, 'brewers'>): KitOption[] {
  return brewers.map(({ id, name, shape, usualDoseG, paper }) => ({
    id,
    name,
    detail: `${SHAPE_WORDS[shape]}, ${usualDoseG} g, ${paper}`,
  }));
}

/** What the lab itself can grind on: nobody brews here on somebody else's grinder. */
export function ownGrinderOptions({ grinders }: Pick<KitView, 'grinders'>): KitOption[] {
  return grinderOptions({ grinders: grinders.filter(({ owner }) => owner === '') });
}

export function grinderOptions({ grinders }: Pick<KitView, 'grinders'>): KitOption[] {
  return grinders.map(({ id, name, burrSet, points, settingStep }) => {
    const sizes = points.map(({ grindUm }) => grindUm);
    return {
      id,
      name: `${name}, ${burrSet}`,
      detail: `${Math.min(...sizes)}–${Math.max(...sizes)} µm, steps of ${settingStep}`,
    };
  });
}

export function paperOptions({ papers }: Pick<KitView, 'papers'>): KitOption[] {
  return papers.map(({ id, name, rinseG, body }) => ({
    id,
    name,
    detail: `rinsed with ${rinseG} g${body === null ? '' : `, lets ${body} body through`}`,
  }));
}

export function waterOptions({ waters }: Pick<KitView, 'waters'>): KitOption[] {
  return waters.map(({ id, name, hardnessMgPerL, alkalinityMgPerL }) => ({
    id,
    name,
    detail: `hardness ${hardnessMgPerL}, alkalinity ${alkalinityMgPerL} mg/L`,
  }));
}

export function kettleOptions({ kettles }: Pick<KitView, 'kettles'>): KitOption[] {
  return kettles.map(({ id, name, stepC }) => ({ id, name, detail: `steps of ${stepC} °C` }));
}
