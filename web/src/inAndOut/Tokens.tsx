import type { TokenView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSetTokenEndedMutation, useTokensQuery } from '../api/tokensApi';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { offerUndoOf } from '../ui/offerUndo';
import { Unavailable } from '../ui/Unavailable';
import { NewToken } from './NewToken';
import { RIGHT_WORDS } from './rightWords';

/** Keys of one's own programs: made here, told once, ended here. */
export function Tokens() {
  const { data: tokens, error, isLoading, refetch } = useTokensQuery();
  return (
    <section className="min-w-0">
      <h2 className="heading mb-2">For programs</h2>
      <p className="mb-4 max-w-[40rem] text-small text-quiet">
        A token lets a program of yours ask this lab as you, no further than it says and no longer than its
        last day.{' '}
        <a href="/api/docs" className="text-ink underline underline-offset-3">
          What a program can ask
        </a>
      </p>
      {isLoading && <Loading />}
      {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
      {tokens && tokens.length > 0 && (
        <ul className="mb-5 border-t border-ink">
          {tokens.map((token) => (
            <Token key={token.id} token={token} />
          ))}
        </ul>
      )}
      <NewToken />
    </section>
  );
}

function Token({ token: { id, name, right, endsOn, lastUsedAt, isOver } }: { token: TokenView }) {
  const [setEnded, { isLoading }] = useSetTokenEndedMutation();
  const end = () =>
    void offerUndoOf(
      setEnded({ id, isEnded: true }),
      `“${name}” opens nothing any more`,
      () => void setEnded({ id, isEnded: false }),
    );
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2">
      <div className="min-w-0 grow">
        <p className={classes('font-semibold break-words', isOver && 'text-quiet line-through')}>{name}</p>
        <p className="caption">
          may {RIGHT_WORDS[right]}; {isOver ? 'ended' : `until ${dayOf(endsOn)}`};{' '}
          {lastUsedAt === null ? 'never used' : `last used ${dayOf(lastUsedAt)}`}
        </p>
      </div>
      {!isOver && (
        <Button weight="quiet" disabled={isLoading} aria-label={`End ${name}`} onClick={end}>
          End it
        </Button>
      )}
    </li>
  );
}
