import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { TrackRecord } from '@vendu/core';
import type { ChangeView, ScoresView } from '@vendu/contract';
import { sealedTo } from '../brews/sheets-seen.js';
import { PersonModel } from '../people/person.model.js';
import { ChangeModel } from '../recipes/change.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';

const CHANGES_SEEN =
  'changes JOIN brews AS seen_in ON seen_in.id = changes.after_brew_id AND seen_in.started_at >= :since';

/** Sums as the database answers them. */
interface Counted {
  told: string | number | null;
  came: string | number | null;
}

@Injectable()
export class ChangesService {
  constructor(private readonly sequelize: Sequelize) {}

  /**
   * The changes of a lot, in the order in which they were written down. What came in the cup would tell of the sheets of
   * others: whoever may not see those yet is told of figures only.
   */
  async ofLot(lotId: number, viewer: PersonModel): Promise<ChangeView[]> {
    const rows = await ChangeModel.findAll({
      where: { lotId },
      include: [{ model: RecipeVersionModel, include: [{ model: PersonModel, as: 'creator' }] }],
      order: ['id'],
    });
    const sealed = await sealedTo(
      viewer.id,
      rows.flatMap(({ beforeBrewId, afterBrewId }) => [beforeBrewId ?? [], afterBrewId ?? []].flat()),
    );
    return rows.map(({ version, expectation, seen, beforeBrewId, afterBrewId }) => ({
      recipeId: version.recipeId,
      recipeVersionId: version.id,
      versionNumber: version.number,
      by: version.creator.name,
      expectation,
      seen:
        seen && beforeBrewId !== null && afterBrewId !== null
          ? seenAs({ beforeBrewId, afterBrewId, what: seen }, sealed)
          : null,
    }));
  }

  /**
   * How often what was expected came, over all lots: of the model, of each rule, of everybody's own changes.
   *
   * @param since - of what was brewed from then on; of everything if left out
   */
  async scores(since = new Date(0)): Promise<ScoresView> {
    const [model, rules, people] = await Promise.all([
      this.counted<Counted>(
        `SELECT SUM(figures_told) AS told, SUM(figures_came) AS came FROM ${CHANGES_SEEN}`,
        since,
      ),
      this.counted<Counted & { ruleId: string }>(
        `SELECT rule_id AS ruleId, SUM(hopes_told) AS told, SUM(hopes_came) AS came FROM ${CHANGES_SEEN}
        WHERE rule_id IS NOT NULL GROUP BY rule_id HAVING told > 0 ORDER BY told DESC, rule_id`,
        since,
      ),
      this.counted<Counted & { personId: number; name: string }>(
        `SELECT people.id AS personId, people.name, SUM(hopes_told) AS told, SUM(hopes_came) AS came
        FROM ${CHANGES_SEEN}
        JOIN recipe_versions AS versions ON versions.id = changes.recipe_version_id
        JOIN people ON people.id = versions.created_by
        WHERE is_own GROUP BY people.id, people.name HAVING told > 0 ORDER BY people.name`,
        since,
      ),
    ]);
    return {
      model: trackRecord(model[0] ?? { told: 0, came: 0 }),
      rules: rules.map(({ ruleId, ...counted }) => ({ ruleId, ...trackRecord(counted) })),
      people: people.map(({ personId, name, ...counted }) => ({ personId, name, ...trackRecord(counted) })),
    };
  }

  private counted<T extends object>(statement: string, since: Date): Promise<T[]> {
    return this.sequelize.query<T>(statement, { type: QueryTypes.SELECT, replacements: { since } });
  }
}

function seenAs(
  seen: Omit<NonNullable<ChangeView['seen']>, 'isSealed'>,
  sealed: ReadonlySet<number>,
): ChangeView['seen'] {
  const isSealed = sealed.has(seen.beforeBrewId) || sealed.has(seen.afterBrewId);
  return { ...seen, isSealed, what: isSealed ? { ...seen.what, hopes: [] } : seen.what };
}

function trackRecord({ told, came }: Counted): TrackRecord {
  return { came: Number(came), missed: Number(told) - Number(came) };
}
