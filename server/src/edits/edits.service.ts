import { Injectable } from '@nestjs/common';
import { Op, type WhereOptions } from 'sequelize';
import type { EditView } from '@vendu/contract';
import { BrewModel } from '../brews/brew.model.js';
import { ReadingModel } from '../brews/reading.model.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { EditModel } from './edit.model.js';

/** Nobody reads further back on a page; the export has them all. */
const MOST_SHOWN = 100;
const OF_PEOPLE: readonly string[] = ['people', 'code_rules'];
const OF_LOTS: readonly string[] = ['lots', 'recipes'];
const OF_BREWS: readonly string[] = ['brews', 'readings', 'fractions'];

/** What was changed by whom, the newest first. */
@Injectable()
export class EditsService {
  /** Of a lot and its recipes. */
  async ofLot(lotId: number): Promise<EditView[]> {
    if (!(await LotModel.findByPk(lotId, { attributes: ['id'] }))) throw notFound('lot');
    const recipes = await RecipeModel.findAll({
      where: { lotId },
      attributes: ['id'],
      include: [{ model: BrewerModel, attributes: ['name'] }],
    });
    const edits = await read({
      [Op.or]: [
        { tableName: 'lots', rowId: lotId },
        { tableName: 'recipes', rowId: recipes.map(({ id }) => id) },
      ],
    });
    const brewers = new Map(recipes.map(({ id, brewer }) => [id, brewer.name]));
    return edits.map((edit) =>
      viewOf(edit, edit.tableName === 'recipes' ? (brewers.get(edit.rowId) ?? '') : edit.about),
    );
  }

  /** Of a brew: verdict, exclusion, readings taken out, cups of a split brew. What was weighed has its own. */
  async ofBrew(brewId: number): Promise<EditView[]> {
    if (!(await BrewModel.findByPk(brewId, { attributes: ['id'] }))) throw notFound('brew');
    const readings = await ReadingModel.findAll({ where: { brewId }, attributes: ['id', 'tdsPercent'] });
    const edits = await read({
      [Op.or]: [
        { tableName: ['brews', 'fractions'], rowId: brewId },
        { tableName: 'readings', rowId: readings.map(({ id }) => id) },
      ],
    });
    const percents = new Map(readings.map(({ id, tdsPercent }) => [id, `${tdsPercent} %`]));
    return edits.map((edit) =>
      viewOf(edit, edit.tableName === 'readings' ? (percents.get(edit.rowId) ?? '') : edit.about),
    );
  }

  /** Of the lab and all that it brews with. */
  async ofKit(): Promise<EditView[]> {
    const edits = await read({ tableName: { [Op.notIn]: [...OF_LOTS, ...OF_BREWS, ...OF_PEOPLE] } });
    return edits.map((edit) => viewOf(edit, edit.about));
  }

  async ofPeople(): Promise<EditView[]> {
    const edits = await read({ tableName: [...OF_PEOPLE] });
    return edits.map((edit) => viewOf(edit, edit.about));
  }
}

function read(where: WhereOptions<EditModel>): Promise<EditModel[]> {
  return EditModel.findAll({
    where,
    include: [{ model: PersonModel, as: 'editor' }],
    order: [['id', 'DESC']],
    limit: MOST_SHOWN,
  });
}

function viewOf({ id, createdAt, editor, tableName, kind, fields }: EditModel, about: string): EditView {
  return { id, at: createdAt.toISOString(), by: editor.name, what: tableName, about, kind, fields };
}
