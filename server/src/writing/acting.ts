import { AsyncLocalStorage } from 'node:async_hooks';
import type { RequestHandler } from 'express';

const acting = new AsyncLocalStorage<{ personId: number | null }>();

/** Keeps a place for whoever turns out to ask; what is done for nobody, as at a start, has no such place. */
export const actingMiddleware: RequestHandler = (_request, _response, next) => {
  acting.run({ personId: null }, next);
};

/** Says who asks, once that is known. */
export function actAs(personId: number): void {
  const place = acting.getStore();
  if (place) place.personId = personId;
}

/** Who asks for what is done now; `null` for nobody. */
export function whoActs(): number | null {
  return acting.getStore()?.personId ?? null;
}
