import { Link } from 'react-router';
import { CHECK_NAMES, movesFrom, planChanges } from '@vendu/core';
import type { ChangeView, RecipeVersionView, RecipeView, Signature } from '@vendu/contract';
import { useChangesQuery } from '../api/changesApi';
import { ChangeCame } from '../brews/ChangeCame';
import { ChangeToCome } from '../brews/ChangeToCome';
import { troubleOf } from '../api/problem';
import { useProofQuery } from '../api/proofApi';
import { useSessionQuery } from '../session/sessionApi';
import { Button, ButtonLink } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { listed } from '../ui/listed';
import { TroubleNotice } from '../ui/Notice';
import { offerUndoOf } from '../ui/offerUndo';
import { CardChanges } from '../publications/CardChanges';
import { PublishForm } from './PublishForm';
import { versionStateOf } from '../ui/versionStateOf';
import {
  useSetAcceptedMutation,
  useSetNameOnCardMutation,
  useSetSignedOffMutation,
  useSetWithdrawnMutation,
} from '../api/recipesApi';

interface VersionListProps {
  recipe: RecipeView;
  comparedId: number | null;
  onCompare: (id: number | null) => void;
}

/** The versions, newest first: what changed, who put a name to it, and what can be done next. */
export function VersionList({ recipe, comparedId, onCompare }: VersionListProps) {
  const { data: changes = [] } = useChangesQuery(recipe.lot.id);
  return (
    <section id="versions">
      <h2 className="heading">Versions</h2>
      <ol>
        {recipe.versions.map((version, index) => (
          <li key={version.id} className="border-b border-rule py-3">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <span className="font-semibold whitespace-nowrap">Version {version.number}</span>
              <span className="caption">
                {version.created.by}, {dayOf(version.created.at)}, {version.brewCount}{' '}
                {version.brewCount === 1 ? 'brew' : 'brews'}
              </span>
              <span className="ml-auto flex gap-3">
                <a
                  href={`/api/recipe-versions/${version.id}/bench-sheet.pdf`}
                  target="_blank"
                  rel="noreferrer"
                  className="text-tiny whitespace-nowrap text-quiet underline hover:text-ink"
                >
                  bench sheet
                </a>
                <a
                  href={`/api/recipe-versions/${version.id}/file`}
                  download
                  className="text-tiny whitespace-nowrap text-quiet underline hover:text-ink"
                >
                  save as file
                </a>
                {index > 0 && (
                  <button
                    type="button"
                    aria-pressed={comparedId === version.id}
                    className="text-tiny text-quiet underline hover:text-ink aria-pressed:font-semibold aria-pressed:text-ink"
                    onClick={() => onCompare(comparedId === version.id ? null : version.id)}
                  >
                    {comparedId === version.id ? 'compared' : 'compare'}
                  </button>
                )}
              </span>
            </div>
            {version.note && <p className="text-small">{version.note}</p>}
            <VersionChanges version={version} before={recipe.versions[index + 1]} />
            <Life change={changes.find(({ recipeVersionId }) => recipeVersionId === version.id)} />
            <Signatures recipe={recipe} version={version} />
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What the change was to do, and what came. */
function Life({ change }: { change: ChangeView | undefined }) {
  if (!change) return null;
  return change.seen ? <ChangeCame change={change} seen={change.seen} /> : <ChangeToCome change={change} />;
}

function VersionChanges({
  version,
  before,
}: {
  version: RecipeVersionView;
  before: RecipeVersionView | undefined;
}) {
  if (!before) return null;
  return (
    <ul className="text-small text-quiet">
      {planChanges({ from: before.plan, to: version.plan }).map(({ figure, from, to }) => (
        <li key={figure}>
          {figure} <span className="reading">{from}</span> →{' '}
          <span className="reading font-bold text-ink">{to}</span>
        </li>
      ))}
    </ul>
  );
}

function Signatures({ recipe, version }: { recipe: RecipeView; version: RecipeVersionView }) {
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const [setAccepted, accepting] = useSetAcceptedMutation();
  const [setSignedOff, signing] = useSetSignedOffMutation();
  const [setWithdrawn, withdrawing] = useSetWithdrawnMutation();
  const published = recipe.publications.find(
    ({ versionNumber, withdrawnAt }) => versionNumber === version.number && withdrawnAt === null,
  );
  const trouble = troubleOf(accepting.error) ?? troubleOf(signing.error) ?? troubleOf(withdrawing.error);
  const { id: versionId, number } = version;
  const state = versionStateOf(version, recipe);
  const moves = movesFrom({ state, isLead });

  return (
    <div className="mt-2 flex flex-col gap-2">
      <Signed
        words="Accepted"
        signature={version.accepted}
        onTakeBack={
          moves.includes('take-acceptance-back')
            ? () =>
                void offerUndoOf(
                  setAccepted({ versionId, accepted: false }),
                  `Acceptance of version ${number} taken back`,
                  () => void setAccepted({ versionId, accepted: true }),
                )
            : null
        }
      />
      <Signed
        words="Signed off"
        signature={version.signedOff}
        proofPath={`/recipes/${recipe.id}/proof/${versionId}`}
        onTakeBack={
          moves.includes('take-sign-off-back')
            ? () =>
                void offerUndoOf(
                  setSignedOff({ versionId, signOff: null }),
                  `Sign-off of version ${number} taken back`,
                  () => void setSignedOff({ versionId, signOff: { reason: '' } }),
                )
            : null
        }
      />
      {version.signedOff && <NamesOnCard version={version} />}
      {published && (
        <p className="text-small">
          Public at{' '}
          <a className="reading font-semibold underline" href={`/r/${published.slug}`}>
            /r/{published.slug}
          </a>{' '}
          <span className="caption">
            by {published.publishedBy}, {dayOf(published.publishedAt)}
          </span>
          {moves.includes('withdraw') && (
            <TakeBack
              words="withdraw"
              onClick={() =>
                void offerUndoOf(
                  setWithdrawn({ publicationId: published.id, withdrawn: true }),
                  `Version ${number} withdrawn`,
                  () => void setWithdrawn({ publicationId: published.id, withdrawn: false }),
                )
              }
            />
          )}
          <Prints slug={published.slug} watchPath={`/recipes/${recipe.id}/watch`} />
        </p>
      )}
      {published && published.cardChanges.length > 0 && (
        <>
          <CardChanges changes={published.cardChanges} />
          {isLead && <PublishForm recipe={recipe} version={version} isAgain />}
        </>
      )}
      {moves.includes('accept') && version.brewCount > 0 && (
        <Button
          weight={number === recipe.versions[0]?.number ? 'plain' : 'quiet'}
          className={number === recipe.versions[0]?.number ? 'self-start' : '-ml-3 self-start'}
          onClick={() => void setAccepted({ versionId, accepted: true })}
        >
          Accept version {number}
        </Button>
      )}
      {state === 'accepted' && <ProofSoFar recipeId={recipe.id} version={version} isLead={isLead} />}
      {version.signedOff &&
        !published &&
        (moves.includes('publish') ? (
          <PublishForm recipe={recipe} version={version} />
        ) : (
          <p className="caption">
            {state === 'superseded'
              ? 'Superseded: another version has been public since.'
              : 'Waits for a lead to publish it.'}
          </p>
        ))}
      <TroubleNotice trouble={trouble} />
    </div>
  );
}

/** Whoever stands behind a version puts his own name on its card; nobody else can. */
function NamesOnCard({ version: { id: versionId, signatures } }: { version: RecipeVersionView }) {
  const person = useSessionQuery().data?.person;
  const [setName, { error, isLoading }] = useSetNameOnCardMutation();
  if (!person) return null;
  const isOn = signatures.some(({ by }) => by === person.name);
  return (
    <>
      {signatures.length > 0 && (
        <p className="text-small">
          On its card <span className="caption">{listed(signatures.map(({ by }) => by))}</span>
          {isOn && (
            <TakeBack
              words="take my name off"
              onClick={() =>
                void offerUndoOf(
                  setName({ versionId, isOn: false }),
                  'Your name is taken off the card',
                  () => void setName({ versionId, isOn: true }),
                )
              }
            />
          )}
        </p>
      )}
      {!isOn && (
        <Button
          weight="quiet"
          className="-ml-3 self-start"
          disabled={isLoading}
          onClick={() => void setName({ versionId, isOn: true })}
        >
          Put my name on the card
        </Button>
      )}
      <TroubleNotice trouble={troubleOf(error)} />
    </>
  );
}

/** What an accepted version still has to show; its proof is where it is signed off. */
function ProofSoFar({
  recipeId,
  version: { id, number },
  isLead,
}: {
  recipeId: number;
  version: RecipeVersionView;
  isLead: boolean;
}) {
  const { data: proof } = useProofQuery(id);
  const missing = proof?.checks
    .filter(({ state }) => state === 'missing')
    .map(({ check }) => CHECK_NAMES[check]);
  return (
    <div className="flex flex-col items-start gap-2">
      <p className="min-h-5 text-small">
        {missing && (missing.length > 0 ? `To prove: ${listed(missing)}.` : 'Proven: nothing is missing.')}
      </p>
      <ButtonLink to={`/recipes/${recipeId}/proof/${id}`} weight="main">
        {missing?.length === 0 && isLead ? `Sign off version ${number}` : `Prove version ${number}`}
      </ButtonLink>
    </div>
  );
}

/** What is printed of a public card, and whether it still holds. */
function Prints({ slug, watchPath }: { slug: string; watchPath: string }) {
  const papers = [
    ['card A6', 'card-a6.pdf'],
    ['card A5', 'card-a5.pdf'],
    ['bag label', 'label.pdf'],
  ] as const;
  return (
    <span className="flex gap-4">
      <Link
        to={watchPath}
        className="inline-flex min-h-6 items-center text-tiny text-quiet underline hover:text-ink"
      >
        watch it
      </Link>
      {papers.map(([words, file]) => (
        <a
          key={file}
          href={`/api/published/${slug}/${file}`}
          target="_blank"
          rel="noreferrer"
          className="inline-flex min-h-6 items-center text-tiny text-quiet underline hover:text-ink"
        >
          {words}
        </a>
      ))}
    </span>
  );
}

function Signed({
  words,
  signature,
  proofPath,
  onTakeBack,
}: {
  words: string;
  signature: Signature | null;
  /** Where it can be read what the signature rests on. */
  proofPath?: string;
  onTakeBack: (() => void) | null;
}) {
  if (!signature) return null;
  return (
    <p className="text-small">
      {words}{' '}
      <span className="caption">
        by {signature.by}, {dayOf(signature.at)}
      </span>
      {proofPath && (
        <Link to={proofPath} className="ml-2 text-tiny text-quiet underline hover:text-ink">
          its proof
        </Link>
      )}
      {onTakeBack && <TakeBack words="take back" onClick={onTakeBack} />}
    </p>
  );
}

function TakeBack({ words, onClick }: { words: string; onClick: () => void }) {
  return (
    <button type="button" className="ml-2 text-tiny text-quiet underline hover:text-ink" onClick={onClick}>
      {words}
    </button>
  );
}
