import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { ChangeComparisonDto, ComparisonView, NewComparisonDto } from '@vendu/contract';
import { BrewModel } from '../brews/brew.model.js';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { inTransaction } from '../writing/transactions.js';
import { Writing } from '../writing/writing.js';
import { BlindTestModel } from './blind-test.model.js';
import { ComparisonArmModel } from './comparison-arm.model.js';
import { ComparisonBrewModel } from './comparison-brew.model.js';
import { ComparisonReader } from './comparison-reader.js';
import { ComparisonModel } from './comparison.model.js';

type Read = Promise<Omit<ComparisonView, 'phoneOrigin'>>;

/** Comparisons: their question, their arms and the brews that count for them. */
@Injectable()
export class ComparisonsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly writing: Writing,
    private readonly reader: ComparisonReader,
  ) {}

  read(id: number): Read {
    return this.reader.read(id);
  }

  async make(
    { versionIds, ...question }: NewComparisonDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Read {
    const found = await RecipeVersionModel.count({ where: { id: versionIds } });
    if (found < versionIds.length) {
      throw invalidField({ field: 'versionIds', message: 'There is no such recipe version.' });
    }
    const id = await this.writing.once(request, async () => {
      const row = await ComparisonModel.create({
        ...question,
        question: question.question.trim(),
        madeBy: person.id,
      });
      await ComparisonArmModel.bulkCreate(
        versionIds.map((recipeVersionId, place) => ({ comparisonId: row.id, place, recipeVersionId })),
      );
      return row.id;
    });
    return this.read(id);
  }

  async change(id: number, { revision, ...question }: ChangeComparisonDto): Read {
    await inTransaction(this.sequelize, async () => {
      const row = await held(id);
      if (row.revision !== revision) {
        throw new ProblemError(
          'stale',
          'Somebody changed this comparison in the meantime. Load it again; what you typed is still here.',
        );
      }
      await row.update({ ...question, question: question.question.trim() });
    });
    return this.read(id);
  }

  /** Puts another version in the place of an arm, as long as nothing rests on the one that is there. */
  async setVersion(id: number, armId: number, recipeVersionId: number): Read {
    await inTransaction(this.sequelize, async () => {
      await held(id);
      const arm = await armOf(id, armId);
      if (!(await RecipeVersionModel.findByPk(recipeVersionId))) {
        throw invalidField({ field: 'recipeVersionId', message: 'There is no such recipe version.' });
      }
      const isElsewhere = await ComparisonArmModel.count({
        where: { comparisonId: id, recipeVersionId, id: { [Op.ne]: armId } },
      });
      if (isElsewhere > 0) {
        throw invalidField({ field: 'recipeVersionId', message: 'A version can be one arm only.' });
      }
      const [brews, tests] = await Promise.all([
        ComparisonBrewModel.count({ where: { comparisonArmId: armId } }),
        BlindTestModel.count({ where: { comparisonId: id } }),
      ]);
      if (brews + tests > 0) {
        throw new ProblemError(
          'conflict',
          'This arm was brewed or tasted already; make a new comparison for the other version.',
        );
      }
      await arm.update({ recipeVersionId });
    });
    return this.read(id);
  }

  /** Has a brew of an arm's version that is there already count for it. */
  async addBrew(id: number, armId: number, brewId: number): Read {
    await inTransaction(this.sequelize, async () => {
      await held(id);
      const arm = await armOf(id, armId);
      const brew = await BrewModel.findByPk(brewId, { attributes: ['id', 'recipeVersionId'] });
      if (!brew) throw notFound('brew');
      if (brew.recipeVersionId !== arm.recipeVersionId) {
        throw new ProblemError('conflict', 'This brew was made by another version than the arm’s.');
      }
      await ComparisonBrewModel.findOrCreate({ where: { comparisonArmId: armId, brewId } });
    });
    return this.read(id);
  }

  async removeBrew(id: number, armId: number, brewId: number): Read {
    await inTransaction(this.sequelize, async () => {
      await held(id);
      await armOf(id, armId);
      await ComparisonBrewModel.destroy({ where: { comparisonArmId: armId, brewId } });
    });
    return this.read(id);
  }
}

/** A comparison, held until the transaction ends: whoever changes it goes one after the other. */
export async function held(id: number): Promise<ComparisonModel> {
  const row = await ComparisonModel.findByPk(id, { lock: true });
  if (!row) throw notFound('comparison');
  return row;
}

async function armOf(comparisonId: number, armId: number): Promise<ComparisonArmModel> {
  const arm = await ComparisonArmModel.findOne({ where: { id: armId, comparisonId } });
  if (!arm) throw notFound('arm');
  return arm;
}
