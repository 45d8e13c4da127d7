import { Link, useParams, useSearchParams } from 'react-router';
import { REPORT_WORDS, REPORTS, type ReportName } from '@vendu/core';
import type { ReportView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useReportQuery } from '../api/reportsApi';
import { dayOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { ReportDrawing } from './ReportDrawing';
import { ReportTable } from './ReportTable';

/** How far back: the last quarter, year, or all there is. */
const SPANS = [
  { days: 90, words: '90 days' },
  { days: 365, words: 'a year' },
  { days: 36_500, words: 'everything' },
] as const;
const USUAL_DAYS = 365;

/** What the house's own records add up to: an answer, its drawing, its table, its file. */
export function ReportsPage() {
  const [search, setSearch] = useSearchParams();
  const { report } = useParams();
  const name = REPORTS.find((each) => each === report) ?? 'dial-in';
  const days = SPANS.find((span) => String(span.days) === search.get('days'))?.days ?? USUAL_DAYS;
  const { data, error, isFetching, refetch } = useReportQuery({ name, days });
  const isThis = data?.name === name;
  return (
    <div className="grid grid-cols-1 gap-x-10 gap-y-5 lg:grid-cols-[11rem_minmax(0,1fr)]">
      <Places shown={name} days={days} />
      <div className="min-w-0">
        <header className="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-2 border-b border-ink pb-3">
          <h1 className="grow text-title leading-tight font-bold">{REPORT_WORDS[name]}</h1>
          <span role="group" aria-label="How far back" className="flex gap-4 text-small">
            {SPANS.map((span) => (
              <button
                key={span.days}
                type="button"
                aria-pressed={days === span.days}
                className="min-h-8 border-b-2 border-transparent text-quiet hover:text-ink aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink"
                onClick={() => setSearch({ days: String(span.days) }, { replace: true })}
              >
                {span.words}
              </button>
            ))}
          </span>
        </header>
        {isThis && <ReportBody report={data} days={days} />}
        {!isThis && error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
        {!isThis && isFetching && <Loading />}
      </div>
    </div>
  );
}

function Places({ shown, days }: { shown: ReportName; days: number }) {
  return (
    <nav
      aria-label="Reports"
      className="-mx-1 flex gap-x-1 overflow-x-auto lg:mx-0 lg:flex-col lg:overflow-visible"
    >
      {REPORTS.map((each) => (
        <Link
          key={each}
          to={`/reports/${each}?days=${days}`}
          aria-current={each === shown ? 'page' : undefined}
          className="flex min-h-10 items-center border-b-3 border-transparent px-2 text-small whitespace-nowrap text-quiet hover:text-ink aria-[current]:border-ink aria-[current]:font-semibold aria-[current]:text-ink lg:border-b-0 lg:border-l-3 lg:border-rule lg:px-3"
        >
          {REPORT_WORDS[each]}
        </Link>
      ))}
    </nav>
  );
}

function ReportBody({ report, days }: { report: ReportView; days: number }) {
  const { name, answer, remark, chart, rows, total, since } = report;
  return (
    <>
      <p className="mb-1 max-w-[46rem] text-large leading-snug font-semibold">{answer}</p>
      <p className="caption mb-5 max-w-[46rem]">
        {remark} {name !== 'tasters' && days < 36_500 && `Since ${dayOf(since)}.`}
        {total > rows.length && ` Rests on the newest ${rows.length} of ${total}.`}
      </p>
      {chart && <ReportDrawing chart={chart} answer={answer} />}
      {rows.length > 0 && (
        <>
          <div className="mt-6 mb-2 flex items-baseline gap-4">
            <h2 className="heading grow">Behind it</h2>
            <a
              href={`/api/reports/${name}/table.csv?days=${days}`}
              download
              className="inline-flex min-h-6 items-center text-small underline underline-offset-3"
            >
              Save the table as CSV
            </a>
          </div>
          <ReportTable report={report} />
        </>
      )}
    </>
  );
}
