import { format } from 'date-fns';
import { Link, useNavigate } from 'react-router';
import { troubleOf } from '../api/problem';
import { useTodayQuery } from '../api/todayApi';
import type { DayPlan } from '@vendu/core';
import type { TodayView } from '@vendu/contract';
import { useDraft } from '../device/draft';
import { useNow } from '../device/useNow';
import { Button, ButtonLink } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { useShortcut } from '../ui/useShortcut';
import { BrewList } from './BrewList';
import { CalendarAddress } from './CalendarAddress';
import { clockOf, dayInputOf, NOTHING_CHOSEN, sequenceOf, type TodayChoice } from './dayOfToday';
import { CodedCups } from './CodedCups';
import { Handover } from './Handover';
import { Missed } from './Missed';
import { PlanChart } from './PlanChart';
import { Presses } from './Presses';
import { useDayPlan } from './useDayPlan';
import { WhoIsIn } from './WhoIsIn';

/** The plan looks at the clock anew so often: a day goes on by itself. */
const LOOKS_EVERY_MS = 60_000;

/** What presses, and the bench of the day: the first thing seen. */
export function TodayPage() {
  const { data, error, isLoading, refetch } = useTodayQuery(undefined, { pollingInterval: LOOKS_EVERY_MS });
  if (isLoading) return <Loading />;
  if (!data) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <Today today={data} />;
}

function Today({ today }: { today: TodayView }) {
  const now = new Date(useNow(LOOKS_EVERY_MS));
  const [chosen, setChosen] = useDraft<Partial<TodayChoice>>(`today.${format(now, 'yyyy-MM-dd')}`, {});
  const choice: TodayChoice = { ...NOTHING_CHOSEN, ...chosen };
  const input = dayInputOf(today, choice, now);
  const plan = useDayPlan(input, choice.order);
  const navigate = useNavigate();
  useShortcut('n', () => void navigate('/lots/new'));
  const change = (changed: Partial<TodayChoice>) => setChosen({ ...choice, ...changed });
  const { people } = input.crew;
  const sequence = plan ? sequenceOf(plan, choice.order) : [];
  const brews = sequence.flatMap((id) => today.brews.find((brew) => brew.id === id) ?? []);
  const nameOf = (jobId: string) => {
    const brew = today.brews.find(({ id }) => id === jobId);
    const after = today.afters.find(({ brewId }) => `brew-${brewId}` === jobId);
    return {
      number: String(sequence.indexOf(jobId) + 1),
      name: brew?.lotName ?? (after ? `${after.lotName}, brew ${after.number}` : ''),
    };
  };
  const skipped = today.brews.filter(({ id }) => choice.skipped.includes(id));
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="grow">
          <h1 className="text-title font-bold">
            Today <span className="font-normal text-quiet">{format(now, 'EEEE, d MMMM')}</span>
          </h1>
          <p className="min-h-6 text-quiet">{plan && summaryOf(plan, people)}</p>
        </div>
        {choice.order && <Button onClick={() => change({ order: null })}>Order it by the plan again</Button>}
        <ButtonLink to="/cups" weight="quiet">
          Cups to taste
        </ButtonLink>
        <ButtonLink to="/lots/new" weight="quiet" shortcut="N">
          Add a lot
        </ButtonLink>
      </header>
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="flex min-w-0 flex-col gap-5">
          {plan && plan.tasks.length > 0 && (
            <PlanChart plan={plan} people={people} nowMin={input.nowMin} nameOf={nameOf} />
          )}
          {plan && <Missed plan={plan} today={today} />}
          <section>
            <h2 className="sr-only">Brews of the day</h2>
            {today.brews.length === 0 && (
              <p className="border-t border-ink pt-4">
                Nothing is to be brewed. A lot that comes in, or a recipe that falls due, stands here.
              </p>
            )}
            {plan && brews.length > 0 && (
              <BrewList
                brews={brews}
                plan={plan}
                onOrder={(order) => change({ order })}
                onSkip={(id) => change({ skipped: [...choice.skipped, id] })}
              />
            )}
            {today.moreBrews > 0 && (
              <p className="mt-3 text-small text-quiet">
                {today.moreBrews} more ask for a brew, less pressing:{' '}
                <Link to="/lots" className="underline underline-offset-3">
                  all lots
                </Link>
                .
              </p>
            )}
            {skipped.length > 0 && (
              <p className="mt-3 text-small text-quiet">
                Not today:{' '}
                {skipped.map(({ id, lotName }) => (
                  <Button
                    key={id}
                    weight="quiet"
                    aria-label={`Put back: ${lotName}`}
                    onClick={() => change({ skipped: choice.skipped.filter((each) => each !== id) })}
                  >
                    {lotName}, put back
                  </Button>
                ))}
              </p>
            )}
          </section>
          <Handover />
        </div>
        <div className="flex flex-col gap-8">
          <WhoIsIn
            today={today}
            plan={plan}
            planned={people.map(({ name }) => name)}
            choice={choice}
            nowMin={input.nowMin}
            onChange={change}
          />
          <Presses today={today} />
          <CodedCups />
          <CalendarAddress />
        </div>
      </div>
    </>
  );
}

/** Whoever comes once all is done has no hand in it. */
function summaryOf({ order, endMin }: DayPlan, crew: readonly { fromMin: number }[]): string {
  if (crew.length === 0) return 'Nobody is in: tick who is, and the bench is planned.';
  const brews = order.length;
  const people = crew.filter(({ fromMin }) => fromMin < endMin).length;
  if (brews === 0) return '';
  return `${brews} ${brews === 1 ? 'brew' : 'brews'}, all tasted by ${clockOf(endMin)} with ${people} ${people === 1 ? 'pair' : 'pairs'} of hands`;
}
