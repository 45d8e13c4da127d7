import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import {
  DUE_RULES,
  lotDue,
  type BrewPlan,
  type ElevationWord,
  type LotStage,
  type BaseProcess,
  type Process,
  type ProofCheckId,
} from '@vendu/core';
import {
  LOTS_PER_PAGE,
  type LotListItem,
  type LotsPageView,
  type LotSort,
  type LotsQueryDto,
  type RecipeListItem,
} from '@vendu/contract';
import type { BrewReader } from '../brews/brew-reader.js';
import { numberOrNull, parsedJson } from '../database/raw-row.js';
import { daysSince, daysUntil } from './days.js';

interface LotRow {
  id: number;
  name: string;
  country: string;
  region: string;
  process: Process;
  baseProcess: BaseProcess | null;
  additions: string;
  /** As MariaDB gives it. */
  isDecaffeinated: number;
  elevationFromM: number | null;
  elevationToM: number | null;
  elevationWord: ElevationWord | null;
  stage: LotStage;
  brewCount: number;
  brewedG: string | number;
  leftG: string | number | null;
  recheckOn: string | null;
  latestRoastedOn: string | null;
  launchOn: string | null;
  proofMissing: ProofCheckId[] | string | null;
  /** How many lots fit; of filtered pages only. */
  total: number | bigint | null;
}

interface RecipeRow extends Omit<RecipeListItem, 'accepted' | 'signedOff' | 'plan'> {
  plan: BrewPlan | string;
  accepted: number | bigint;
  signedOff: number | bigint;
}

const COLUMNS = `id, name, country, region, process, base_process AS baseProcess, additions, is_decaffeinated AS isDecaffeinated, elevation_from_m AS elevationFromM,
  elevation_to_m AS elevationToM, elevation_word AS elevationWord, stage, brew_count AS brewCount, brewed_g AS brewedG, left_g AS leftG,
  DATE_FORMAT(recheck_on, '%Y-%m-%d') AS recheckOn, DATE_FORMAT(latest_roasted_on, '%Y-%m-%d') AS latestRoastedOn,
  DATE_FORMAT(launch_on, '%Y-%m-%d') AS launchOn, proof_missing AS proofMissing`;

/** Column of each sort; what is not known comes last either way. */
const SORT_COLUMNS: Record<Exclude<LotSort, 'due'>, string> = {
  recent: 'updated_at',
  name: 'name',
  launch: 'launch_on',
  'roast-age': 'latest_roasted_on',
  brews: 'brew_count',
  left: 'left_g',
};

const NEVER_NULL: readonly LotSort[] = ['recent', 'name', 'brews'];

/** One page of lots in a few plain statements: the working view has to be quick at ten thousand lots. */
export async function readLotsPage(
  sequelize: Sequelize,
  brews: BrewReader,
  query: LotsQueryDto,
  perPage = LOTS_PER_PAGE,
): Promise<LotsPageView> {
  const { statement, replacements } = lotsStatement(query, perPage);
  const [rows, counts] = await Promise.all([
    sequelize.query<LotRow>(statement, { type: QueryTypes.SELECT, replacements }),
    sequelize.query<CountRow>(COUNTS, { type: QueryTypes.SELECT }),
  ]);
  // Past the last page no row is left to say how many there are.
  if (rows.length === 0 && query.page > 1) {
    return { ...(await readLotsPage(sequelize, brews, { ...query, page: 1 })), lots: [] };
  }
  const ids = rows.map(({ id }) => id);
  const [recipes, lastResults] = await Promise.all([
    newestRecipes(sequelize, ids),
    brews.lastMeasuredOf(ids),
  ]);
  const inAll = counts.reduce((sum, { count }) => sum + Number(count), 0);
  return {
    total: isFiltered(query) ? Number(rows[0]?.total ?? 0) : inAll,
    countByStage: Object.fromEntries(counts.map(({ stage, count }) => [stage, Number(count)])),
    lots: rows.map((row) => listItem(row, recipes.get(row.id) ?? null, lastResults.get(row.id) ?? null)),
  };
}

interface CountRow {
  stage: LotStage;
  count: number | bigint;
}

const COUNTS = 'SELECT stage, COUNT(*) AS count FROM lots GROUP BY stage';

function isFiltered({ search, stage, process }: LotsQueryDto): boolean {
  return search.trim() !== '' || stage !== undefined || process !== undefined;
}

/**
 * The page's ids first, whole rows only for those. All lots are walked in the order of an index; filtered ones are
 * read through once, which finds and counts them together: an index would be walked to its end for few rows.
 */
function lotsStatement(
  query: LotsQueryDto,
  perPage: number,
): {
  statement: string;
  replacements: Record<string, string | number>;
} {
  const order = orderOf(query);
  const chosen = isFiltered(query)
    ? `SELECT id, COUNT(*) OVER () AS total FROM lots USE INDEX () WHERE ${conditionsOf(query)}`
    : 'SELECT id, NULL AS total FROM lots';
  return {
    statement: `SELECT ${COLUMNS}, total FROM lots JOIN (
        ${chosen} ORDER BY ${order} LIMIT ${perPage} OFFSET ${(query.page - 1) * perPage}
      ) AS chosen USING (id) ORDER BY ${order}`,
    replacements: {
      search: `%${query.search.trim().replace(/[\\%_]/g, '\\$&')}%`,
      stage: query.stage ?? '',
      process: query.process ?? '',
    },
  };
}

/** What presses first, as `lotDue` has it: near launches, rechecks due, later launches, no date, nothing due. */
const DUE_RANK = `CASE
  WHEN stage IN ('published', 'watched') THEN
    IF(recheck_on <= CURDATE(), 1, 4)
  WHEN launch_on <= CURDATE() + INTERVAL ${DUE_RULES.launchNearDays} DAY THEN 0
  WHEN launch_on IS NOT NULL THEN 2
  ELSE 3 END`;
const DUE_ORDER = `${DUE_RANK}, launch_on IS NULL, launch_on, updated_at DESC, id DESC`;

/** NULL sorts lowest: only an upward sort has to send what is not known to the end by itself. */
function orderOf({ sort, direction }: LotsQueryDto): string {
  if (sort === 'due') {
    return direction === 'up' ? DUE_ORDER : `${DUE_RANK} DESC, launch_on DESC, id`;
  }
  const column = SORT_COLUMNS[sort];
  if (direction === 'down') return `${column} DESC, id DESC`;
  return NEVER_NULL.includes(sort) ? `${column}, id` : `${column} IS NULL, ${column}, id`;
}

function conditionsOf({ search, stage, process }: LotsQueryDto): string {
  return [
    'TRUE',
    ...(search.trim() === '' ? [] : ['search_text LIKE :search']),
    ...(stage ? ['stage = :stage'] : []),
    ...(process ? [processCondition(process)] : []),
  ].join(' AND ');
}

/** As `isOfProcess` has it: by name, by base, or by what was done besides. */
function processCondition(process: Process): string {
  const besides: Partial<Record<Process, string>> = {
    'co-fermented': "additions <> ''",
    decaffeinated: 'is_decaffeinated',
  };
  const or = besides[process];
  return `(process = :process OR base_process = :process${or ? ` OR ${or}` : ''})`;
}

/** The recipe worked on last, of each lot that has one. */
async function newestRecipes(
  sequelize: Sequelize,
  lotIds: readonly number[],
): Promise<Map<number, RecipeListItem>> {
  if (lotIds.length === 0) return new Map();
  const rows = await sequelize.query<RecipeRow>(
    `SELECT recipes.id, recipes.lot_id AS lotId, brewers.name AS brewerName, versions.number AS latestVersion,
      versions.plan,
      EXISTS (SELECT 1 FROM recipe_versions AS v WHERE v.recipe_id = recipes.id AND v.accepted_at IS NOT NULL) AS accepted,
      EXISTS (SELECT 1 FROM recipe_versions AS v WHERE v.recipe_id = recipes.id AND v.signed_off_at IS NOT NULL) AS signedOff,
      IF(EXISTS (SELECT 1 FROM recipe_versions AS v JOIN publications ON publications.recipe_version_id = v.id
        WHERE v.recipe_id = recipes.id AND publications.withdrawn_at IS NULL), recipes.slug, NULL) AS publishedSlug
    FROM recipes
    JOIN brewers ON brewers.id = recipes.brewer_id
    JOIN recipe_versions AS versions ON versions.recipe_id = recipes.id
      AND versions.number = (SELECT MAX(v.number) FROM recipe_versions AS v WHERE v.recipe_id = recipes.id)
    WHERE recipes.id IN (SELECT MAX(id) FROM recipes WHERE lot_id IN (:lotIds) GROUP BY lot_id)`,
    { type: QueryTypes.SELECT, replacements: { lotIds: [...lotIds] } },
  );
  return new Map(
    rows.map(({ plan, accepted, signedOff, ...recipe }) => [
      recipe.lotId,
      {
        ...recipe,
        plan: parsedJson<BrewPlan>(plan),
        accepted: Number(accepted) > 0,
        signedOff: Number(signedOff) > 0,
      },
    ]),
  );
}

function listItem(
  { brewedG, leftG, recheckOn, latestRoastedOn, proofMissing, total, ...row }: LotRow,
  recipe: RecipeListItem | null,
  last: { strengthPercent: number; yieldPercent: number; basis: 'weighed' | 'assumed' } | null,
): LotListItem {
  const daysToLaunch = daysUntil(row.launchOn);
  return {
    ...row,
    isDecaffeinated: Boolean(row.isDecaffeinated),
    due: lotDue({
      stage: row.stage,
      isRoasted: latestRoastedOn !== null,
      daysToLaunch,
      daysToRecheck: daysUntil(recheckOn),
    }),
    proofMissing: proofMissing === null ? null : parsedJson(proofMissing),
    daysToLaunch,
    roastAgeDays: latestRoastedOn === null ? null : daysSince(latestRoastedOn),
    gramsBrewedG: Number(brewedG),
    gramsLeftG: numberOrNull(leftG),
    recipe,
    lastStrengthPercent: last?.strengthPercent ?? null,
    lastYieldPercent: last?.yieldPercent ?? null,
    lastYieldBasis: last?.basis ?? null,
  };
}
