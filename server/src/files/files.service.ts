import { Injectable } from '@nestjs/common';
import { recipeFileText } from '@vendu/core';
import { Sequelize } from 'sequelize-typescript';
import type { LotListItem, LotsQueryDto } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewModel } from '../brews/brew.model.js';
import { LotModel } from '../lots/lot.model.js';
import { TraceModel } from '../brews/trace.model.js';
import { WITH_KIT } from '../brews/kit-names.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { grinderView } from '../kit/kit-views.js';
import { notFound } from '../problem/problem-error.js';
import { slugOf } from '../publications/slug.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { settingFor } from '../recipes/recipe-views.js';
import { readLotsPage } from '../lots/lot-list.js';
import { brewsCsv } from './brews-csv.js';
import { lotsCsv } from './lots-csv.js';

const LOTS_AT_ONCE = 500;

/** A file on its way out. */
export interface FileOut {
  name: string;
  type: string;
  text: string;
}

@Injectable()
export class FilesService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly reader: BrewReader,
  ) {}

  async recipe(versionId: number): Promise<FileOut> {
    const version = await RecipeVersionModel.findByPk(versionId);
    if (!version) throw notFound('recipe version');
    const { lot, brewer, paper, grinder, water, kettle } = await RecipeModel.findByPk(version.recipeId, {
      include: [LotModel, ...WITH_KIT],
      rejectOnEmpty: true,
    });
    const { grinderSetting, secondSetting } = settingFor(version.plan, grinderView(grinder));
    const text = recipeFileText({
      lot: lot.name,
      versionNumber: version.number,
      note: version.note,
      brewer: brewer.name,
      paper: paper.name,
      grinder: `${grinder.name}, ${grinder.burrSet}`,
      grinderSetting,
      secondSetting,
      water: water?.name ?? null,
      kettle: kettle?.name ?? null,
      plan: version.plan,
    });
    const name = slugOf(`${lot.name} ${brewer.name} version ${version.number}`);
    return { name: `${name}.json`, type: 'application/json', text };
  }

  async lots(query: LotsQueryDto): Promise<FileOut> {
    const lots: LotListItem[] = [];
    for (let page = 1; ; page++) {
      const read = await readLotsPage(this.sequelize, this.reader, { ...query, page }, LOTS_AT_ONCE);
      lots.push(...read.lots);
      if (read.lots.length < LOTS_AT_ONCE) break;
    }
    return { name: 'lots.csv', type: 'text/csv', text: lotsCsv(lots) };
  }

  async brews(lotId: number): Promise<FileOut> {
    const lot = await LotModel.findByPk(lotId, { attributes: ['name'] });
    if (!lot) throw notFound('lot');
    const [brews, rows, recipes] = await Promise.all([
      this.reader.ofLot(lotId),
      BrewModel.findAll({ where: { lotId } }),
      RecipeModel.findAll({ where: { lotId }, include: [BrewerModel] }),
    ]);
    const rowOf = new Map(rows.map((row) => [row.id, row]));
    const brewerOf = new Map(recipes.map(({ id, brewer }) => [id, brewer.name]));
    const lines = brews.flatMap((brew) => {
      const row = rowOf.get(brew.id);
      return row ? [{ brew, row, brewer: brewerOf.get(brew.recipeId) ?? '' }] : [];
    });
    return { name: `${slugOf(`${lot.name} brews`)}.csv`, type: 'text/csv', text: brewsCsv(lines) };
  }

  /** What the scale read, as written down: since the first pour. */
  async trace(brewId: number): Promise<FileOut> {
    const row = await TraceModel.findByPk(brewId);
    if (!row) throw notFound('trace');
    const { atMs, massG } = row.samples;
    const lines = atMs.map((at, place) => `${at},${massG[place]}\r\n`);
    return { name: `brew-${brewId}-trace.csv`, type: 'text/csv', text: `at_ms,mass_g\r\n${lines.join('')}` };
  }
}
