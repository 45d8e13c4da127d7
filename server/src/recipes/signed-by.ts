import type { Signature } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import type { RecipeVersionModel } from './recipe-version.model.js';
import { VersionSignatureModel } from './version-signature.model.js';

/** What has to be loaded with a version to tell whose names its card shows. */
export const SIGNATURE_PARTS = { model: VersionSignatureModel, include: [PersonModel] };
type Signed = Pick<RecipeVersionModel, 'signatures'>;

/** The names for the card, first come first. Needs `SIGNATURE_PARTS` loaded. */
export function signaturesOf({ signatures }: Signed): Signature[] {
  return [...signatures]
    .sort((a, b) => a.createdAt.getTime() - b.createdAt.getTime())
    .map(({ person, createdAt }) => ({ by: person.name, at: createdAt.toISOString() }));
}

/** All names as a card says them; empty where nobody put his there. Needs `SIGNATURE_PARTS` loaded. */
export function signedBy(version: Signed): string {
  return signaturesOf(version)
    .map(({ by }) => by)
    .join(', ');
}
