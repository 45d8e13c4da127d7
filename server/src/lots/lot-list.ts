import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { lotDue, type BrewPlan, type LotStage, type Process } from '@vendu/core';
import {
  LOTS_PER_PAGE,
  type LotListItem,
  type LotsPageView,
  type LotSort,
  type LotsQueryDto,
  type RecipeListItem,
} from '@vendu/contract';
import type { BrewReader } from '../brews/brew-reader.js';
import { daysSince, daysUntil } from './days.js';

interface LotRow {
  id: number;
  name: string;
  country: string;
  region: string;
  process: Process;
  additions: string;
  elevationFromM: number | null;
  elevationToM: number | null;
  stage: LotStage;
  brewCount: number;
  brewedG: string | number;
  leftG: string | number | null;
  lastBrewedAt: Date | null;
  latestRoastedOn: string | null;
  launchOn: string | null;
}

interface RecipeRow extends Omit<RecipeListItem, 'accepted' | 'signedOff' | 'plan'> {
  plan: BrewPlan | string;
  accepted: number | bigint;
  signedOff: number | bigint;
}

const COLUMNS = `id, name, country, region, process, additions, elevation_from_m AS elevationFromM,
  elevation_to_m AS elevationToM, stage, brew_count AS brewCount, brewed_g AS brewedG, left_g AS leftG,
  last_brewed_at AS lastBrewedAt, DATE_FORMAT(latest_roasted_on, '%Y-%m-%d') AS latestRoastedOn,
  DATE_FORMAT(launch_on, '%Y-%m-%d') AS launchOn`;

/** Column of each sort; what is not known comes last either way. */
const SORT_COLUMNS: Record<LotSort, string> = {
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
): Promise<LotsPageView> {
  const { statement, countStatement, replacements } = lotsStatement(query);
  const select = { type: QueryTypes.SELECT, replacements } as const;
  const [rows, counts, stages] = await Promise.all([
    sequelize.query<LotRow>(statement, select),
    sequelize.query<{ total: number | bigint }>(countStatement, select),
    sequelize.query<{ stage: LotStage; count: number | bigint }>(STAGES, { type: QueryTypes.SELECT }),
  ]);
  const ids = rows.map(({ id }) => id);
  const [recipes, lastResults] = await Promise.all([
    newestRecipes(sequelize, ids),
    brews.lastMeasuredOf(ids),
  ]);
  return {
    total: Number(counts[0]?.total ?? 0),
    countByStage: Object.fromEntries(stages.map(({ stage, count }) => [stage, Number(count)])),
    lots: rows.map((row) => listItem(row, recipes.get(row.id) ?? null, lastResults.get(row.id) ?? null)),
  };
}

export const STAGES = 'SELECT stage, COUNT(*) AS count FROM lots GROUP BY stage';

/** The statements that find and count the lots of a page; the measure of the page's speed runs them bare. */
export function lotsStatement(query: LotsQueryDto): {
  statement: string;
  countStatement: string;
  replacements: Record<string, string | number>;
} {
  const order = orderOf(query);
  return {
    // The page's ids first, by index where one serves; whole rows only for those.
    statement: `SELECT ${COLUMNS} FROM lots JOIN (
        SELECT id FROM lots WHERE ${conditionsOf(query)} ORDER BY ${order}
        LIMIT ${LOTS_PER_PAGE} OFFSET ${(query.page - 1) * LOTS_PER_PAGE}
      ) AS chosen USING (id) ORDER BY ${order}`,
    countStatement: `SELECT COUNT(*) AS total FROM lots WHERE ${conditionsOf(query)}`,
    replacements: {
      search: `%${query.search.trim().replace(/[\\%_]/g, '\\$&')}%`,
      stage: query.stage ?? '',
      process: query.process ?? '',
    },
  };
}

/** NULL sorts lowest: only an upward sort has to send what is not known to the end by itself. */
function orderOf({ sort, direction }: LotsQueryDto): string {
  const column = SORT_COLUMNS[sort];
  if (direction === 'down') return `${column} DESC, id DESC`;
  return NEVER_NULL.includes(sort) ? `${column}, id` : `${column} IS NULL, ${column}, id`;
}

function conditionsOf({ search, stage, process }: LotsQueryDto): string {
  return [
    'TRUE',
    ...(search.trim() === ''
      ? []
      : [
          '(name LIKE :search OR region LIKE :search OR farm LIKE :search OR producer LIKE :search OR variety LIKE :search)',
        ]),
    ...(stage ? ['stage = :stage'] : []),
    ...(process ? ['process = :process'] : []),
  ].join(' AND ');
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
        plan: typeof plan === 'string' ? (JSON.parse(plan) as BrewPlan) : plan,
        accepted: Number(accepted) > 0,
        signedOff: Number(signedOff) > 0,
      },
    ]),
  );
}

function listItem(
  { brewedG, leftG, lastBrewedAt, latestRoastedOn, ...row }: LotRow,
  recipe: RecipeListItem | null,
  last: { strengthPercent: number; yieldPercent: number; basis: 'weighed' | 'assumed' } | null,
): LotListItem {
  const daysToLaunch = daysUntil(row.launchOn);
  return {
    ...row,
    due: lotDue({ stage: row.stage, daysToLaunch, daysSinceBrew: daysSince(lastBrewedAt) }),
    daysToLaunch,
    roastAgeDays: latestRoastedOn === null ? null : daysSince(latestRoastedOn),
    gramsBrewedG: Number(brewedG),
    gramsLeftG: leftG === null ? null : Number(leftG),
    recipe,
    lastStrengthPercent: last?.strengthPercent ?? null,
    lastYieldPercent: last?.yieldPercent ?? null,
    lastYieldBasis: last?.basis ?? null,
  };
}
