import type { Role } from '@vendu/core';
import { useSessionQuery } from './sessionApi';

/** Where those are let in who make no recipes, and where they come in. */
export const OWN_PLACES: Partial<Record<Role, { home: string; places: RegExp }>> = {
  // The cups, his sheets, his own password.
  taster: { home: '/cups', places: /^\/(cups|people|brews\/\d+\/taste)(\/|$)/ },
  admin: { home: '/people', places: /^\/(people|operations|in-and-out)(\/|$)/ },
};

/** Whether whoever is signed in answers for people, programs and copies. */
export function useRunsTheLab(): boolean {
  const role = useSessionQuery().data?.person?.role;
  return role === 'lead' || role === 'admin';
}
