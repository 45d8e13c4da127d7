import { useState } from 'react';
import { Link } from 'react-router';
import type { ImportReport } from '@vendu/contract';
import { useReportOnFileMutation, useTakeFileMutation } from '../api/importsApi';
import { troubleOf } from '../api/problem';
import { useRunsTheLab } from '../session/roles';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { FileField } from '../ui/FileField';
import { Loading } from '../ui/Loading';
import { Notice, TroubleNotice } from '../ui/Notice';
import { BroughtIn } from './BroughtIn';
import { Conflicts, Counts } from './ReportOnFile';

/** A file that an export made, laid beside the lab before anything of it is taken in. */
export function BringInPage() {
  const runsTheLab = useRunsTheLab();
  return (
    <>
      <header className="mb-5">
        <Link to="/in-and-out" className="text-small text-quiet underline-offset-3 hover:underline">
          In and out
        </Link>
        <h1 className="text-title font-bold">Bring in a lab’s file</h1>
      </header>
      {runsTheLab ? <BringIn /> : <p>A lead or an admin can bring in a file that an export made.</p>}
    </>
  );
}

function BringIn() {
  const [file, setFile] = useState<File | null>(null);
  const [read, reading] = useReportOnFileMutation();
  const [take, taking] = useTakeFileMutation();
  const report = reading.data;
  const taken = taking.data?.taken ?? null;

  function choose(chosen: File) {
    taking.reset();
    setFile(chosen);
    void read(chosen);
  }
  return (
    <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="flex min-w-0 flex-col gap-5">
        <p className="max-w-[44rem] text-small text-quiet">
          A zip that “Export everything” or “Export this lot” made, here or in another lab. You see what it
          brings before anything is saved. What is here stays as it is; what came can be taken out again as
          long as nobody has worked with it.
        </p>
        <FileField accept=".zip,application/zip" onChoose={choose} />
        {reading.isLoading && <Loading />}
        <TroubleNotice trouble={troubleOf(reading.error)} />
        {report && !taken && file && (
          <>
            <Said report={report} />
            <TroubleNotice trouble={troubleOf(taking.error)} />
            {freshOf(report) > 0 && (
              <div>
                <Button
                  weight="main"
                  className="h-11 px-5"
                  disabled={taking.isLoading}
                  onClick={() => void take(file)}
                >
                  {taking.isLoading ? 'Bringing it in…' : `Bring in what is new (${freshOf(report)})`}
                </Button>
              </div>
            )}
            <Conflicts report={report} />
            <Counts report={report} />
          </>
        )}
        {taken && (
          <>
            <p role="status" className="font-semibold">
              {freshOf({ counts: taken.counts })} things came in.{' '}
              <Link to="/lots" className="underline underline-offset-3">
                To the lots
              </Link>
            </p>
            <Counts report={taken} />
          </>
        )}
      </div>
      <BroughtIn />
    </div>
  );
}

const freshOf = ({ counts }: Pick<ImportReport, 'counts'>) =>
  counts.reduce((sum, { fresh }) => sum + fresh, 0);

function headline(fresh: number, others: number): string {
  if (fresh > 0) return `${fresh} things in this file are new here.`;
  return others > 0 ? 'Nothing in this file is new here.' : 'Everything in this file is here already.';
}

function Said({ report }: { report: ImportReport }) {
  const differing = report.counts.reduce((sum, count) => sum + count.differing, 0);
  const heldBack = report.counts.reduce((sum, count) => sum + count.heldBack, 0);
  return (
    <div className="flex flex-col gap-2">
      <p role="status" className="text-large font-semibold">
        {headline(freshOf(report), differing + heldBack)}
      </p>
      <p className="text-small text-quiet">
        Made on {dayAndTimeOf(report.madeAt)}.
        {differing > 0 && ` ${differing} are told otherwise here and stay as they are here.`}
        {heldBack > 0 &&
          ` ${heldBack} are left out, since they hang on something that is another thing here.`}{' '}
        People are known by their names; who is new cannot sign in.
      </p>
      {report.remarks.map((remark) => (
        <Notice key={remark}>{remark}</Notice>
      ))}
    </div>
  );
}
