import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { FieldError } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../app/draft';
import { Button, ButtonLink } from '../ui/Button';
import { classes } from '../ui/classes';
import { INPUT } from '../ui/Field';
import { Notice, TroubleNotice } from '../ui/Notice';
import { CSV_COLUMNS, faultsOf, lotOf, readCsv, type CsvFile, type CsvRow } from './csvLots';
import { useImportLotsMutation } from './lotsApi';

/** Columns shown and mended in the preview, in the order of the form; the rest are taken as they are. */
const SHOWN = [
  'name',
  'country',
  'process',
  'roastedOn',
  'roastLevel',
  'elevation',
  'variety',
  'stock',
  'additions',
] as const;
const REQUIRED: readonly string[] = ['name', 'country', 'process', 'roastedOn'];

/** Many lots from a file: read here, mended here, and stored all together or not at all. */
export function ImportLotsPage() {
  const [file, keep, drop] = useDraft<CsvFile | null>('lots.import', null);
  const [pasted, setPasted] = useState('');
  const [send, { error, isLoading }] = useImportLotsMutation();
  const navigate = useNavigate();
  const rows = file?.rows ?? [];
  const faults = rows.map(faultsOf);
  const faultyCount = faults.filter((each) => each.length > 0).length;

  function clear() {
    keep(null);
    drop();
  }
  async function takeIn() {
    const { data } = await send(rows.map(lotOf));
    if (!data) return;
    clear();
    toast(`${data.ids.length} lots taken in`);
    void navigate('/lots');
  }
  return (
    <>
      <header className="mb-5 flex items-end gap-4">
        <div className="grow">
          <Link to="/lots" className="text-small text-quiet underline-offset-3 hover:underline">
            Lots
          </Link>
          <h1 className="text-title font-bold">Import from CSV</h1>
        </div>
        {file && (
          <Button weight="quiet" onClick={clear}>
            Let this file go
          </Button>
        )}
      </header>
      {!file || rows.length === 0 ? (
        <div className="max-w-3xl">
          {file?.trouble && <Notice tone="alarm">{file.trouble}</Notice>}
          <p className="mb-4">
            One lot to a line, the first line naming the columns. Needed are{' '}
            {REQUIRED.map((field) => CSV_COLUMNS[field as keyof CsvRow][0]).join(', ')}; known too are{' '}
            {Object.entries(CSV_COLUMNS)
              .filter(([field]) => !REQUIRED.includes(field))
              .map(([, words]) => words[0])
              .join(', ')}
            . Nothing is stored before you have seen every row.
          </p>
          <label className="mb-5 flex flex-col gap-1 text-small font-medium text-quiet">
            File
            <input
              type="file"
              accept=".csv,text/csv,text/plain"
              className="text-body text-ink file:mr-3 file:h-9 file:rounded-edge file:border file:border-edge file:bg-raised file:px-3"
              onChange={(event) => void event.target.files?.[0]?.text().then((text) => keep(readCsv(text)))}
            />
          </label>
          <label className="mb-3 flex flex-col gap-1 text-small font-medium text-quiet">
            Or paste the lines
            <textarea
              rows={6}
              className="reading rounded-edge border border-edge bg-raised p-2 text-small text-ink"
              value={pasted}
              onChange={(event) => setPasted(event.target.value)}
            />
          </label>
          <div className="flex gap-3">
            <Button weight="main" disabled={pasted.trim() === ''} onClick={() => keep(readCsv(pasted))}>
              Read the lines
            </Button>
            <ButtonLink to="/lots" weight="quiet">
              Back to the lots
            </ButtonLink>
          </div>
        </div>
      ) : (
        <>
          <p role="status" className="mb-3">
            <span className="font-semibold">{rows.length} lots read</span>
            {faultyCount > 0
              ? `, ${faultyCount} of them with faults. Mend them below; nothing is stored yet.`
              : ', none with a fault. Nothing is stored yet.'}
            {file.unknownColumns.length > 0 && (
              <span className="text-quiet">
                {' '}
                Left out, since no lot has them: {file.unknownColumns.join(', ')}.
              </span>
            )}
          </p>
          <Preview
            rows={rows}
            faults={faults}
            onMend={(index, row) =>
              keep({ ...file, rows: rows.map((each, at) => (at === index ? row : each)) })
            }
            onLeaveOut={(index) => keep({ ...file, rows: rows.filter((_, at) => at !== index) })}
          />
          <div className="mt-4 flex flex-col gap-3">
            <TroubleNotice trouble={troubleOf(error)} />
            <div>
              <Button
                weight="main"
                disabled={faultyCount > 0 || isLoading}
                onClick={() => void takeIn()}
                className="h-11 px-5"
              >
                Take in {rows.length} {rows.length === 1 ? 'lot' : 'lots'}
              </Button>
            </div>
          </div>
        </>
      )}
    </>
  );
}

function Preview({
  rows,
  faults,
  onMend,
  onLeaveOut,
}: {
  rows: CsvRow[];
  faults: FieldError[][];
  onMend: (index: number, row: CsvRow) => void;
  onLeaveOut: (index: number) => void;
}) {
  const head = 'border-b border-ink pb-1 pr-2 text-left text-tiny font-medium text-quiet';
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr>
            <th className={head}>Line</th>
            {SHOWN.map((field) => (
              <th key={field} className={head}>
                {CSV_COLUMNS[field][0]}
              </th>
            ))}
            <th className={head}>
              <span className="sr-only">Leave out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index} className="align-top">
              {/* The first line of the file names the columns. */}
              <td className="border-b border-rule py-2 pr-2 text-small text-quiet">
                <span className="reading">{index + 2}</span>
                {(faults[index] ?? [])
                  .filter(({ field }) => !SHOWN.some((shown) => shown === field))
                  .map(({ field, message }) => (
                    <p key={field} className="w-32 text-tiny font-medium text-alarm">
                      {message}
                    </p>
                  ))}
              </td>
              {SHOWN.map((field) => {
                const fault = (faults[index] ?? []).find((each) => each.field === field)?.message;
                return (
                  <td key={field} className="border-b border-rule py-1 pr-2">
                    <input
                      aria-label={`${CSV_COLUMNS[field][0] ?? field}, line ${index + 2}`}
                      aria-invalid={fault !== undefined}
                      className={classes(INPUT, 'min-w-20 text-small')}
                      value={row[field]}
                      onChange={(event) => onMend(index, { ...row, [field]: event.target.value })}
                    />
                    {fault && <p className="text-tiny font-medium text-alarm">{fault}</p>}
                  </td>
                );
              })}
              <td className="border-b border-rule py-1">
                <Button weight="quiet" onClick={() => onLeaveOut(index)}>
                  Leave out
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
