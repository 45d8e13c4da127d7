import { troubleOf, type Trouble } from '../api/problem';
import { useSaveKitMutation, type KitChange } from '../api/kitApi';

/** Stores a part of the kit; answers what stands against it. */
export function useSaveKit(): (change: KitChange) => Promise<Trouble | null> {
  const [save] = useSaveKitMutation();
  return async (change) => troubleOf((await save(change)).error);
}
