import { Link, useParams } from 'react-router';
import { CHECK_NAMES } from '@vendu/core';
import type { KitView, ProofView, RecipeVersionView, RecipeView } from '@vendu/contract';
import { useKitQuery } from '../api/kitApi';
import { troubleOf } from '../api/problem';
import { useProofQuery } from '../api/proofApi';
import { useRecipeQuery } from '../api/recipesApi';
import { useSessionQuery } from '../session/sessionApi';
import { ButtonLink } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { listed } from '../ui/listed';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { Checks } from './Checks';
import { ChecklistChoice } from './ChecklistChoice';
import { MayExpect } from './MayExpect';
import { ProofBrews } from './ProofBrews';
import { SignOff } from './SignOff';

/** What a version has to show before a lead puts his name to it, and what it has shown. */
export function ProofPage() {
  const { recipeId, versionId } = useParams();
  const { data: recipe, error, isLoading, refetch } = useRecipeQuery(Number(recipeId));
  const { data: proof, error: against, refetch: again } = useProofQuery(Number(versionId));
  const { data: kit } = useKitQuery();
  const version = recipe?.versions.find(({ id }) => id === Number(versionId));
  if (recipe && version && proof && kit) {
    return <Proof recipe={recipe} version={version} proof={proof} kit={kit} />;
  }
  const trouble = troubleOf(error ?? against);
  if (trouble === null && (isLoading || !recipe || version)) return <Loading />;
  return (
    <Unavailable
      trouble={trouble}
      onRetry={() => {
        void refetch();
        void again();
      }}
    />
  );
}

function Proof({
  recipe,
  version,
  proof,
  kit,
}: {
  recipe: RecipeView;
  version: RecipeVersionView;
  proof: ProofView;
  kit: KitView;
}) {
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  return (
    <>
      <header className="mb-5 flex flex-wrap items-end gap-x-6 gap-y-3 border-b border-ink pb-4">
        <div className="grow">
          <p className="caption">
            <Link to={`/lots/${recipe.lot.id}`} className="underline underline-offset-3">
              {recipe.lot.name}
            </Link>
            {', '}
            <Link to={`/recipes/${recipe.id}`} className="underline underline-offset-3">
              {recipe.brewerName}
            </Link>
          </p>
          <h1 className="text-title leading-tight font-bold">Proof of version {version.number}</h1>
          <p>{standing(version, proof)}</p>
        </div>
        <span className="flex flex-col items-start">
          <a
            href={`/api/recipe-versions/${version.id}/card`}
            target="_blank"
            rel="noreferrer"
            className="inline-flex min-h-6 items-center text-small underline underline-offset-3"
          >
            Its card as a proof copy
          </a>
          <Link
            to={`/bench/${version.id}?recipe=${recipe.id}&from=card`}
            className="inline-flex min-h-6 items-center text-small underline underline-offset-3"
          >
            Brew from the card alone
          </Link>
        </span>
        <ButtonLink
          to={`/bench/${version.id}?recipe=${recipe.id}`}
          weight={proof.isProven ? 'plain' : 'main'}
        >
          Brew version {version.number}
        </ButtonLink>
      </header>
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1fr)_420px]">
        <div className="flex flex-col gap-8">
          <Checks proof={proof} isLead={isLead} isSigned={version.signedOff !== null} />
          <SignOff recipe={recipe} version={version} proof={proof} isLead={isLead} />
          <ChecklistChoice proof={proof} house={kit.house} isLead={isLead} />
        </div>
        <div className="flex flex-col gap-8">
          <MayExpect proof={proof} plan={version.plan} />
          <ProofBrews brews={proof.brews} />
        </div>
      </div>
    </>
  );
}

/** How far the proof is, in a sentence. */
function standing({ signedOff }: RecipeVersionView, { checks, signOffReason }: ProofView): string {
  if (signedOff) {
    const why = signOffReason === '' ? '.' : `: ${signOffReason}`;
    return `Signed off by ${signedOff.by}, ${dayOf(signedOff.at)}${why}`;
  }
  const missing = checks.filter(({ state }) => state === 'missing').map(({ check }) => CHECK_NAMES[check]);
  return missing.length === 0
    ? 'Nothing is missing.'
    : `${checks.length - missing.length} of ${checks.length} hold. Missing: ${listed(missing)}.`;
}
