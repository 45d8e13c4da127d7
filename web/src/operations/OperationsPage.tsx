import type { ReactNode } from 'react';
import type { OperationsView } from '@vendu/contract';
import { useOperationsQuery } from '../api/operationsApi';
import { troubleOf } from '../api/problem';
import { dayAndTimeOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { clockWords, sizeWords, troublesOf } from './operationsWords';

const LOOKS_EVERY_MS = 15_000;

/** How the application runs, for a lead who looks after it: first what has to be seen to. */
export function OperationsPage() {
  const {
    data: view,
    error,
    isLoading,
    refetch,
    fulfilledTimeStamp,
  } = useOperationsQuery(undefined, { pollingInterval: LOOKS_EVERY_MS, refetchOnMountOrArgChange: true });
  if (isLoading) return <Loading />;
  if (!view) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const troubles = troublesOf(view, new Date(fulfilledTimeStamp ?? view.now));
  return (
    <>
      <h1 className="mb-2 text-title font-bold">How it runs</h1>
      {troubles.length === 0 ? (
        <p className="mb-6 text-large">In order, as far as it can be seen from here.</p>
      ) : (
        <div className="mb-6 flex flex-col gap-2">
          {troubles.map((trouble) => (
            <Notice key={trouble} tone="alarm">
              {trouble}
            </Notice>
          ))}
        </div>
      )}
      <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-2">
        <div className="flex min-w-0 flex-col gap-8">
          <Facts view={view} />
          <Largest view={view} />
        </div>
        <div className="flex min-w-0 flex-col gap-8">
          <Answers view={view} />
          <Slow view={view} />
        </div>
      </div>
    </>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap justify-between gap-x-4 border-b border-rule py-2">
      <dt className="text-quiet">{name}</dt>
      <dd className="text-right">{children}</dd>
    </div>
  );
}

function Figure({ name, value }: { name: string; value: string | number }) {
  return (
    <Row name={name}>
      <span className="reading">{value}</span>
    </Row>
  );
}

function Facts({
  view: { version, node, startedAt, schema, database, copies, traces },
}: {
  view: OperationsView;
}) {
  return (
    <section>
      <h2 className="heading mb-1">Application and database</h2>
      <dl>
        <Row name="Vendu">
          <span className="reading">{version}</span>, since {dayAndTimeOf(startedAt)}
        </Row>
        <Figure name="Node" value={node.replace('v', '')} />
        <Row name="Database">
          <span className="reading">{database.version}</span>
          {database.nodes && (
            <span className="block text-small text-quiet">
              on <span className="reading">{database.nodes.running}</span> of {database.nodes.of} nodes
            </span>
          )}
        </Row>
        <Figure name="Schema" value={schema.step} />
        <Row name="Size">
          <span className="reading">{sizeWords(database.bytes)}</span>
          {database.freeBytes !== null && (
            <span className="block text-small text-quiet">
              <span className="reading">{sizeWords(database.freeBytes)}</span> free there
            </span>
          )}
        </Row>
        <Row name="Clocks of server and database">{clockWords(database.aheadMs)}</Row>
        <Row name="Newest copy">
          {copies === null && 'not known here'}
          {copies && (
            <>
              {copies.newest ? (
                <>
                  {dayAndTimeOf(copies.newest.at)},{' '}
                  <span className="reading">{sizeWords(copies.newest.bytes)}</span>, one of {copies.count}
                </>
              ) : (
                'none'
              )}
              <span className="block text-small text-quiet">
                <span className="reading">{sizeWords(copies.freeBytes)}</span> free there
              </span>
            </>
          )}
        </Row>
        <Row name="Curves of brews">
          <span className="reading">{sizeWords(traces.bytes)}</span>, kept{' '}
          {traces.keptDays === null ? 'for good' : `${traces.keptDays} days`}
        </Row>
      </dl>
    </section>
  );
}

function Largest({ view: { database } }: { view: OperationsView }) {
  return (
    <section>
      <h2 className="heading mb-1">Largest tables</h2>
      <dl>
        {database.largest.map(({ table, bytes }) => (
          <Figure key={table} name={table.replaceAll('_', ' ')} value={sizeWords(bytes)} />
        ))}
      </dl>
    </section>
  );
}

function Answers({ view: { requests, webhooks, care, server } }: { view: OperationsView }) {
  return (
    <section>
      <h2 className="heading mb-1">Answers since the start</h2>
      {server !== null && <p className="caption mb-1">Of server {server}: each counts for itself.</p>}
      <dl>
        <Figure name="Answered" value={requests.answered} />
        <Figure name="Refused" value={requests.refused} />
        <Figure name="Failed" value={requests.failed} />
        <Figure name="Half of the last thousand within" value={`${requests.medianMs} ms`} />
        <Figure name="All but one of twenty within" value={`${requests.p95Ms} ms`} />
        <Figure name="Messages to other programs, waiting" value={webhooks.waiting} />
        <Row name="Tidied up">{care.at === null ? 'not yet' : dayAndTimeOf(care.at)}</Row>
      </dl>
    </section>
  );
}

function Slow({ view: { slow } }: { view: OperationsView }) {
  return (
    <section>
      <h2 className="heading mb-1">Slowest statements</h2>
      <ul>
        {slow.map(({ statement, count, longestMs }) => (
          <li key={statement} className="border-b border-rule py-2">
            <p className="flex justify-between gap-4">
              <span className="reading">{longestMs} ms</span>
              <span className="text-small text-quiet">{count === 1 ? 'once' : `${count} times`}</span>
            </p>
            <p className="reading mt-1 text-tiny break-words text-quiet">{statement}</p>
          </li>
        ))}
      </ul>
      <p className="caption mt-1">
        {slow.length === 0
          ? 'None has taken a fifth of a second since the start.'
          : 'Without what they were about: values are left out.'}
      </p>
    </section>
  );
}
