import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { FieldError } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { Button, ButtonLink } from '../ui/Button';
import { classes } from '../ui/classes';
import { INPUT } from '../ui/Field';
import { FileField } from '../ui/FileField';
import { Notice, TroubleNotice } from '../ui/Notice';
import {
  CSV_COLUMNS,
  faultsOf,
  lotOf,
  placeColumn,
  readCsv,
  sameAs,
  type CsvField,
  type CsvFile,
  type CsvRow,
  type RememberedHeadings,
} from './csvLots';
import { useImportLotsMutation } from '../api/lotsApi';

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
const REQUIRED: readonly string[] = ['name', 'country', 'process'];

/** Many lots from a file: read here, mended here, and stored all together or not at all. */
export function ImportLotsPage() {
  const [file, keep, drop] = useDraft<CsvFile | null>('lots.import-file', null);
  const [remembered, remember] = useDraft<RememberedHeadings>('lots.headings', {});
  const [pasted, setPasted] = useState('');
  const [send, { error, isLoading }] = useImportLotsMutation();
  const navigate = useNavigate();
  const rows = file?.rows ?? [];
  const twins = sameAs(rows);
  const faults = rows.map((row, index): FieldError[] => {
    const twin = twins[index] ?? null;
    if (twin === null) return faultsOf(row);
    return [{ field: 'name', message: `The same as line ${twin + 2}; skip one of them.` }];
  });
  const faultyCount = faults.filter((each) => each.length > 0).length;

  function clear() {
    keep(null);
    drop();
  }
  async function addAll() {
    const { data } = await send(rows.map(lotOf));
    if (!data) return;
    clear();
    toast(`${data.ids.length} lots added`);
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
            Discard this file
          </Button>
        )}
      </header>
      {!file || rows.length === 0 ? (
        <div className="max-w-3xl">
          {file?.trouble && <Notice tone="alarm">{file.trouble}</Notice>}
          <p className="mb-4">
            One lot per line; the first line names the columns. Required:{' '}
            {REQUIRED.map((field) => CSV_COLUMNS[field as keyof CsvRow][0]).join(', ')}; also understood:{' '}
            {Object.entries(CSV_COLUMNS)
              .filter(([field]) => !REQUIRED.includes(field))
              .map(([, words]) => words[0])
              .join(', ')}
            . Nothing is saved until you have seen every row.
          </p>
          <div className="mb-5">
            <FileField
              accept=".csv,text/csv,text/plain"
              onChoose={(file) => void file.text().then((text) => keep(readCsv(text, remembered)))}
            />
          </div>
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
            <Button
              weight="main"
              disabled={pasted.trim() === ''}
              onClick={() => keep(readCsv(pasted, remembered))}
            >
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
              ? `, ${faultyCount} of them with errors. Correct them below; nothing is saved yet.`
              : ', no errors. Nothing is saved yet.'}
          </p>
          {file.unplaced.length > 0 && (
            <Unplaced
              file={file}
              onPlace={(heading, field) => {
                keep(placeColumn(file, heading, field));
                remember({ ...remembered, [heading.trim().toLowerCase()]: field });
              }}
            />
          )}
          <Preview
            rows={rows}
            faults={faults}
            onMend={(index, row) =>
              keep({ ...file, rows: rows.map((each, at) => (at === index ? row : each)) })
            }
            onSkip={(index) => keep({ ...file, rows: rows.filter((_, at) => at !== index) })}
          />
          <div className="mt-4 flex flex-col gap-3">
            <TroubleNotice trouble={troubleOf(error)} />
            <div>
              <Button
                weight="main"
                disabled={faultyCount > 0 || isLoading}
                onClick={() => void addAll()}
                className="h-11 px-5"
              >
                Add {rows.length} {rows.length === 1 ? 'lot' : 'lots'}
              </Button>
            </div>
          </div>
        </>
      )}
    </>
  );
}

/** Columns whose heading says nothing to the lab: a person says what they are, or they are not used. */
function Unplaced({ file, onPlace }: { file: CsvFile; onPlace: (heading: string, field: CsvField) => void }) {
  return (
    <div className="mb-4 flex flex-wrap items-end gap-3 border-y border-rule py-3 text-small">
      <span className="self-center text-quiet">Not used yet:</span>
      {file.unplaced.map(({ heading, cells }) => (
        <label key={heading} className="flex flex-col gap-1">
          <span>
            <b>{heading}</b> <span className="text-quiet">({cells.find(Boolean) ?? 'empty'})</span>
          </span>
          <select
            className={INPUT}
            value=""
            onChange={(event) => onPlace(heading, event.target.value as CsvField)}
          >
            <option value="">Not used</option>
            {Object.entries(CSV_COLUMNS).map(([field, [words]]) => (
              <option key={field} value={field}>
                {words}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  );
}

function Preview({
  rows,
  faults,
  onMend,
  onSkip,
}: {
  rows: CsvRow[];
  faults: FieldError[][];
  onMend: (index: number, row: CsvRow) => void;
  onSkip: (index: number) => void;
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
              <span className="sr-only">Skip</span>
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
                <Button weight="quiet" onClick={() => onSkip(index)}>
                  Skip
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
