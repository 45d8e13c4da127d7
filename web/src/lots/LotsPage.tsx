import { Link, useNavigate } from 'react-router';
import type { LotListItem } from '@vendu/contract';
import { formatElevation, formatRatio, planRatio } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { StaircaseThumb } from '../staircase/StaircaseThumb';
import { ButtonLink } from '../ui/Button';
import { countryName } from '../ui/countries';
import { Loading } from '../ui/Loading';
import { StageLadder } from '../ui/StageLadder';
import { Unavailable } from '../ui/Unavailable';
import { useShortcut } from '../ui/useShortcut';
import { PROCESS_WORDS } from '../ui/words';
import { useLotsQuery } from './lotsApi';

export function LotsPage() {
  const { data: lots, error, isLoading, refetch } = useLotsQuery();
  const navigate = useNavigate();
  useShortcut('n', () => void navigate('/lots/new'));
  if (isLoading) return <Loading />;
  if (!lots) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <>
      <div className="mb-5 flex items-end justify-between">
        <h1 className="text-title font-bold">
          Lots <span className="font-normal text-quiet">{lots.length} open</span>
        </h1>
        <ButtonLink to="/lots/new" weight="main" shortcut="N">
          Take in a lot
        </ButtonLink>
      </div>
      {lots.length === 0 ? <NoLots /> : <LotTable lots={lots} />}
    </>
  );
}

function NoLots() {
  return (
    <div className="border-t border-ink pt-6">
      <p className="mb-4 max-w-lg">
        Every green lot that needs a recipe stands here, with how far it is and what it gave last. Take in the
        first one: its name, country, process and roast date are enough.
      </p>
      <ButtonLink to="/lots/new">Take in a lot</ButtonLink>
    </div>
  );
}

const HEAD = 'border-b border-ink pb-1.5 pr-5 text-left align-bottom text-tiny font-medium text-quiet';
const NUMBER_HEAD =
  'border-b border-ink pb-1.5 pl-3 text-right align-bottom text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-3 pr-5 align-top';
const NUMBER = 'reading border-b border-rule py-3 pl-3 text-right align-top';

function LotTable({ lots }: { lots: LotListItem[] }) {
  return (
    <table className="w-full">
      <thead>
        <tr>
          <th className={HEAD}>Lot</th>
          <th className={HEAD}>Process and elevation</th>
          <th className={HEAD}>Stage</th>
          <th className={HEAD}>Recipe worked on</th>
          <th className={NUMBER_HEAD}>Roast age</th>
          <th className={NUMBER_HEAD}>Brews</th>
          <th className={NUMBER_HEAD}>Last strength</th>
          <th className={NUMBER_HEAD}>Last yield</th>
          <th className={NUMBER_HEAD}>Left</th>
        </tr>
      </thead>
      <tbody>
        {lots.map((lot) => (
          <LotRow key={lot.id} lot={lot} />
        ))}
      </tbody>
    </table>
  );
}

function LotRow({ lot }: { lot: LotListItem }) {
  const { recipe } = lot;
  return (
    <tr className="group hover:bg-wash">
      <td className={`${CELL} max-w-72 pl-0`}>
        <Link to={`/lots/${lot.id}`} className="font-semibold underline-offset-3 group-hover:underline">
          {lot.name}
        </Link>
        <div className="caption">
          {countryName(lot.country)}
          {lot.region && `, ${lot.region}`}
        </div>
        {lot.additions && <div className="text-tiny font-medium text-alarm">contains {lot.additions}</div>}
      </td>
      <td className={CELL}>
        {PROCESS_WORDS[lot.process]}
        <div className="reading caption">{elevationWords(lot)}</div>
      </td>
      <td className={CELL}>
        <StageLadder stage={lot.stage} />
      </td>
      <td className={CELL}>
        {recipe ? (
          <Link to={`/recipes/${recipe.id}`} className="flex items-center gap-3 hover:underline">
            <StaircaseThumb plan={recipe.plan} />
            <span>
              <span className="reading text-small text-water">{formatRatio(planRatio(recipe.plan))}</span>
              <span className="reading ml-2 text-small text-temperature">{recipe.plan.kettleC} °C</span>
              <span className="caption block">
                {recipe.brewerName}, v{recipe.latestVersion}
              </span>
            </span>
          </Link>
        ) : (
          <span className="caption">none yet</span>
        )}
      </td>
      <td className={`${NUMBER} text-time`}>
        {lot.latestRoast ? <Reading value={lot.latestRoast.ageDays} unit="d" /> : '–'}
      </td>
      <td className={NUMBER}>{lot.brewCount}</td>
      <td className={`${NUMBER} text-strength`}>
        {lot.lastStrengthPercent === null ? (
          <Unread />
        ) : (
          <Reading value={lot.lastStrengthPercent.toFixed(2)} unit="%" />
        )}
      </td>
      <td className={`${NUMBER} text-yield`}>
        {lot.lastYieldPercent === null ? (
          <Unread />
        ) : (
          <Reading value={lot.lastYieldPercent.toFixed(1)} unit="%" />
        )}
        {lot.lastYieldBasis === 'assumed' && <div className="caption font-words">assumed</div>}
      </td>
      <td className={NUMBER}>
        {lot.gramsLeftG === null ? <Unread /> : <Reading value={Math.round(lot.gramsLeftG)} unit="g" />}
      </td>
    </tr>
  );
}

function Reading({ value, unit }: { value: string | number; unit: string }) {
  return (
    <span className="whitespace-nowrap">
      {value}
      <span className="text-tiny text-quiet"> {unit}</span>
    </span>
  );
}

function Unread() {
  return (
    <span className="text-quiet" aria-label="not known">
      –
    </span>
  );
}

function elevationWords({ elevationFromM, elevationToM }: LotListItem): string {
  if (elevationFromM === null) return 'elevation not known';
  return formatElevation({ fromM: elevationFromM, toM: elevationToM ?? elevationFromM });
}
