import { grinderSettingFor, type BrewPlan } from '@vendu/core';
import type {
  CardChange,
  GrinderView,
  PublicationView,
  RecipeListItem,
  RecipeVersionView,
  Signature,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import type { PublicationModel } from '../publications/publication.model.js';
import type { RecipeVersionModel } from './recipe-version.model.js';
import type { RecipeModel } from './recipe.model.js';
import { signaturesOf } from './signed-by.js';

/** The house grinder's settings for a plan, to the nearest step of its scale; or why there is none. */
export function settingFor(
  plan: BrewPlan,
  grinder: GrinderView,
): { grinderSetting: number | null; grinderNote: string; secondSetting: number | null } {
  const { points, settingStep } = grinder;
  const { grindUm, secondGrind } = plan;
  const found = grinderSettingFor({ points, settingStep, grindUm });
  const second = secondGrind && grinderSettingFor({ points, settingStep, grindUm: secondGrind.grindUm });
  return {
    grinderSetting: found.ok ? found.value : null,
    grinderNote: found.ok ? '' : found.message,
    secondSetting: second?.ok ? second.value : null,
  };
}

function signature(person: PersonModel | null, at: Date | null): Signature | null {
  return person && at ? { by: person.name, at: at.toISOString() } : null;
}

/** Needs `creator`, `accepter`, `signer` and `SIGNATURE_PARTS` loaded. */
export function versionView(
  row: RecipeVersionModel,
  grinder: GrinderView,
  brewCount: number,
): RecipeVersionView {
  return {
    id: row.id,
    number: row.number,
    basedOn: row.basedOn,
    plan: row.plan,
    ...settingFor(row.plan, grinder),
    note: row.note,
    reasons: row.reasons,
    created: { by: row.creator.name, at: row.createdAt.toISOString() },
    accepted: signature(row.accepter, row.acceptedAt),
    signedOff: signature(row.signer, row.signedOffAt),
    signatures: signaturesOf(row),
    brewCount,
  };
}

/** Needs `brewer` and `versions` with their `publications` loaded. */
export function recipeListItem(row: RecipeModel): RecipeListItem {
  const newest = row.versions.reduce((a, b) => (a.number > b.number ? a : b));
  const isPublic = row.versions.some(({ publications }) =>
    publications.some(({ withdrawnAt }) => withdrawnAt === null),
  );
  return {
    id: row.id,
    lotId: row.lotId,
    brewerName: row.brewer.name,
    paperName: row.paper.name,
    latestVersion: newest.number,
    plan: newest.plan,
    accepted: row.versions.some(({ acceptedAt }) => acceptedAt !== null),
    signedOff: row.versions.some(({ signedOffAt }) => signedOffAt !== null),
    publishedSlug: isPublic ? row.slug : null,
  };
}

/** Needs `publisher` loaded. */
export function publicationView(
  row: PublicationModel,
  slug: string,
  versionNumber: number,
  cardChanges: CardChange[],
): PublicationView {
  return {
    id: row.id,
    slug,
    versionNumber,
    introduction: row.introduction,
    edition: row.card?.edition ?? null,
    publishedBy: row.publisher.name,
    publishedAt: row.createdAt.toISOString(),
    withdrawnAt: row.withdrawnAt?.toISOString() ?? null,
    cardChanges,
  };
}
