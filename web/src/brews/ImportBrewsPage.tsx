import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import type { FieldError, LotView } from '@vendu/contract';
import { useImportBrewsMutation } from '../api/brewsApi';
import { useLotQuery } from '../api/lotsApi';
import { troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { Button, ButtonLink } from '../ui/Button';
import { classes } from '../ui/classes';
import { INPUT } from '../ui/Field';
import { FileField } from '../ui/FileField';
import { Loading } from '../ui/Loading';
import { Notice, TroubleNotice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { WideTable } from '../ui/WideTable';
import {
  BREW_COLUMN_NAMES,
  BREW_COLUMNS,
  brewOf,
  readBrewTable,
  withColumn,
  type BrewColumn,
  type BrewTable,
  type RememberedColumns,
} from './csvBrews';

/** Brews and readings of a lot that were written down elsewhere, from a table. */
export function ImportBrewsPage() {
  const lotId = Number(useParams()['lotId']);
  const { data: lot, error, isLoading, refetch } = useLotQuery(lotId);
  if (isLoading) return <Loading />;
  if (!lot) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <>
      <header className="mb-5">
        <Link to={`/lots/${lotId}`} className="text-small text-quiet underline-offset-3 hover:underline">
          {lot.name}
        </Link>
        <h1 className="text-title font-bold">Brews from CSV</h1>
      </header>
      {lot.recipes.length === 0 ? (
        <p>
          Brews belong to a recipe.{' '}
          <Link to={`/lots/${lotId}/start`} className="underline underline-offset-3">
            Start one first
          </Link>
          , with the figures that they were brewed by.
        </p>
      ) : (
        <ImportBrews lot={lot} />
      )}
    </>
  );
}

function ImportBrews({ lot }: { lot: LotView }) {
  const [table, keep, drop] = useDraft<BrewTable | null>(`brews.table.${lot.id}`, null);
  const [remembered, remember] = useDraft<RememberedColumns>('brews.columns', {});
  const [recipeId, setRecipeId] = useState(lot.recipes.at(-1)?.id ?? 0);
  const [send, { error, isLoading }] = useImportBrewsMutation();
  const navigate = useNavigate();
  const read = (text: string) => keep(readBrewTable(text, remembered));
  function clear() {
    keep(null);
    drop();
  }
  function say(index: number, column: BrewColumn | '') {
    if (!table) return;
    keep(withColumn(table, index, column));
    remember({ ...remembered, [(table.headings[index] ?? '').toLowerCase()]: column });
  }
  if (!table || table.lines.length === 0) {
    return (
      <>
        {table && <Notice tone="alarm">The file has headings but no lines.</Notice>}
        <Choose onRead={read} back={`/lots/${lot.id}`} />
      </>
    );
  }
  const told = table.lines.map((line) => brewOf(table, line));
  const ofServer = troubleOf(error);
  const faults = told.map(({ faults: own }, index) =>
    own.length > 0
      ? own
      : (ofServer?.errors ?? []).flatMap(({ field, message }): FieldError[] =>
          field.startsWith(`brews.${index}.`) ? [{ field: field.split('.').at(-1) ?? '', message }] : [],
        ),
  );
  const faulty = faults.filter((each) => each.length > 0).length;
  async function addAll() {
    const { data } = await send({ lotId: lot.id, file: { recipeId, brews: told.map(({ brew }) => brew) } });
    if (!data) return;
    clear();
    const { brews, readings, known } = data;
    const already = known > 0 ? `; ${many(known, 'line')} here already` : '';
    toast(`${many(brews, 'brew')} and ${many(readings, 'reading')} added${already}`);
    void navigate(`/lots/${lot.id}`);
  }
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end gap-x-6 gap-y-3">
        <p role="status" className="grow">
          <span className="font-semibold">{table.lines.length} lines read</span>
          {faulty > 0
            ? `, ${faulty} with errors: say what the columns are, or skip a line. Nothing is saved yet.`
            : ', no errors. Nothing is saved yet.'}
        </p>
        {lot.recipes.length > 1 && (
          <label className="flex flex-col gap-1 text-small font-medium text-quiet">
            They are brews of
            <select
              className={INPUT}
              value={recipeId}
              onChange={({ target }) => setRecipeId(Number(target.value))}
            >
              {lot.recipes.map(({ id, brewerName }) => (
                <option key={id} value={id}>
                  {brewerName}
                </option>
              ))}
            </select>
          </label>
        )}
        <Button weight="quiet" onClick={clear}>
          Discard this file
        </Button>
      </div>
      <Lines
        table={table}
        faults={faults}
        onSay={say}
        onSkip={(index) => keep({ ...table, lines: table.lines.filter((_, at) => at !== index) })}
      />
      <div className="mt-4 flex flex-col items-start gap-3">
        {ofServer && faulty === 0 && <TroubleNotice trouble={ofServer} />}
        <p className="max-w-[44rem] text-small text-quiet">
          A line is a brew of the version that it names, or of the newest: poured as planned, with what it
          tells of weights, strength and drain time. A line with the number of a brew here adds its readings.
          The same line twice is stored once.
        </p>
        <Button
          weight="main"
          className="h-11 px-5"
          disabled={told.some(({ faults: own }) => own.length > 0) || isLoading}
          onClick={() => void addAll()}
        >
          Add {table.lines.length} {table.lines.length === 1 ? 'line' : 'lines'}
        </Button>
      </div>
    </>
  );
}

function Choose({ onRead, back }: { onRead: (text: string) => void; back: string }) {
  const [pasted, setPasted] = useState('');
  return (
    <div className="flex max-w-3xl flex-col gap-4">
      <p>
        One brew per line; the first line names the columns:{' '}
        {BREW_COLUMN_NAMES.map((name) => BREW_COLUMNS[name][0]).join(', ')}. What they are called otherwise
        you say once, and it is remembered on this device.
      </p>
      <FileField accept=".csv,text/csv,text/plain" onChoose={(file) => void file.text().then(onRead)} />
      <label className="flex flex-col gap-1 text-small font-medium text-quiet">
        Or paste the lines
        <textarea
          rows={6}
          className="reading rounded-edge border border-edge bg-raised p-2 text-small text-ink"
          value={pasted}
          onChange={({ target }) => setPasted(target.value)}
        />
      </label>
      <div className="flex gap-3">
        <Button weight="main" disabled={pasted.trim() === ''} onClick={() => onRead(pasted)}>
          Read the lines
        </Button>
        <ButtonLink to={back} weight="quiet">
          Back to the lot
        </ButtonLink>
      </div>
    </div>
  );
}

const CELL = 'border-b border-rule py-1.5 pr-3 align-top';

/** The lines as they lie in the file, each column under what it is. */
function Lines({
  table,
  faults,
  onSay,
  onSkip,
}: {
  table: BrewTable;
  faults: readonly (readonly FieldError[])[];
  onSay: (index: number, column: BrewColumn | '') => void;
  onSkip: (index: number) => void;
}) {
  const faultAt = (line: number, column: BrewColumn | '') =>
    column === '' ? undefined : faults[line]?.find(({ field }) => field === column)?.message;
  return (
    <WideTable>
      <table className="w-full text-small">
        <thead>
          <tr className="border-b border-ink text-left align-bottom">
            <th scope="col" className="py-1 pr-3 font-medium">
              Line
            </th>
            {table.headings.map((heading, index) => (
              <th key={index} scope="col" className="py-1 pr-3 font-medium">
                <label className="flex flex-col gap-1">
                  {heading === '' ? `Column ${index + 1}` : heading}
                  <select
                    className={classes(INPUT, 'min-w-28 text-small')}
                    value={table.columns[index] ?? ''}
                    onChange={({ target }) => onSay(index, target.value as BrewColumn | '')}
                  >
                    <option value="">not used</option>
                    {BREW_COLUMN_NAMES.map((name) => (
                      <option key={name} value={name}>
                        {BREW_COLUMNS[name][0]}
                      </option>
                    ))}
                  </select>
                </label>
              </th>
            ))}
            <th>
              <span className="sr-only">Skip</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {table.lines.map((line, at) => (
            <tr key={at}>
              <td className={classes(CELL, 'text-quiet')}>
                <span className="reading">{at + 2}</span>
                {faults[at]
                  ?.filter(({ field }) => !table.columns.includes(field as BrewColumn))
                  .map(({ field, message }) => (
                    <p key={field} className="w-36 text-tiny font-medium text-alarm">
                      {message}
                    </p>
                  ))}
              </td>
              {table.headings.map((_, index) => {
                const column = table.columns[index] ?? '';
                const fault = faultAt(at, column);
                return (
                  <td key={index} className={classes(CELL, column === '' && 'text-quiet')}>
                    <span className="reading">{line[index]}</span>
                    {fault && <p className="text-tiny font-medium text-alarm">{fault}</p>}
                  </td>
                );
              })}
              <td className={CELL}>
                <Button weight="quiet" aria-label={`Skip line ${at + 2}`} onClick={() => onSkip(at)}>
                  Skip
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </WideTable>
  );
}

const many = (count: number, what: string) => `${count} ${what}${count === 1 ? '' : 's'}`;
