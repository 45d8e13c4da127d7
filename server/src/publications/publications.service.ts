import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { PublicRecipeListItem, PublicRecipeView, PublishDto, RecipeView } from '@vendu/contract';
import { BrewerModel } from '../kit/brewer.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { KitService } from '../kit/kit.service.js';
import { LotModel } from '../lots/lot.model.js';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { settingFor } from '../recipes/recipe-views.js';
import { RecipesService } from '../recipes/recipes.service.js';
import { PublicationModel } from './publication.model.js';
import { slugOf } from './slug.js';

const PARTS = [
  LotModel,
  { model: BrewerModel, include: [PaperModel] },
  { model: RecipeVersionModel, include: [PublicationModel] },
];

interface Current {
  version: RecipeVersionModel;
  publication: PublicationModel;
}

@Injectable()
export class PublicationsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly recipes: RecipesService,
    private readonly kit: KitService,
  ) {}

  /** Makes a signed-off version public. The address belongs to the recipe and outlives its versions. */
  async publish({ recipeVersionId, introduction }: PublishDto, person: PersonModel): Promise<RecipeView> {
    const version = await RecipeVersionModel.findByPk(recipeVersionId);
    if (!version)
      throw invalidField({ field: 'recipeVersionId', message: 'There is no such recipe version.' });
    refuseUnsigned(version);
    if ((await PublicationModel.count({ where: { recipeVersionId, withdrawnAt: null } })) > 0) {
      throw new ProblemError('conflict', 'This version is public already.');
    }
    const recipe = await RecipeModel.findByPk(version.recipeId, {
      include: [LotModel, BrewerModel],
      rejectOnEmpty: true,
    });
    await this.sequelize.transaction(async (transaction) => {
      if (recipe.slug === null) {
        await recipe.update(
          { slug: await freeSlug(`${recipe.lot.name} ${recipe.brewer.name}`) },
          { transaction },
        );
      }
      await PublicationModel.create(
        { recipeVersionId, introduction, publishedBy: person.id },
        { transaction },
      );
    });
    await this.recipes.refreshLotOf(recipe.id);
    return this.recipes.read(recipe.id);
  }

  async setWithdrawn(id: number, isWithdrawn: boolean): Promise<RecipeView> {
    const row = await PublicationModel.findByPk(id);
    if (!row) throw notFound('publication');
    const version = await RecipeVersionModel.findByPk(row.recipeVersionId, { rejectOnEmpty: true });
    // The sign-off may have been taken back while the publication was withdrawn.
    if (!isWithdrawn) refuseUnsigned(version);
    await row.update({ withdrawnAt: isWithdrawn ? new Date() : null });
    await this.recipes.refreshLotOf(version.recipeId);
    return this.recipes.read(version.recipeId);
  }

  async list(): Promise<PublicRecipeListItem[]> {
    const rows = await RecipeModel.findAll({
      where: { slug: { [Op.ne]: null } },
      include: PARTS,
      order: [['id', 'DESC']],
    });
    return rows.flatMap((row) => {
      const current = currentOf(row);
      return current ? [listItem(row, current)] : [];
    });
  }

  async bySlug(slug: string): Promise<PublicRecipeView> {
    const row = await RecipeModel.findOne({ where: { slug }, include: PARTS });
    const current = row && currentOf(row);
    if (!row || !current) throw notFound('published recipe');
    const [house, grinder] = await Promise.all([this.kit.house(), this.kit.grinder(row.grinderId)]);
    const { lot } = row;
    return {
      ...listItem(row, current),
      houseName: house.name,
      housePlace: house.place,
      region: lot.region,
      farm: lot.farm,
      producer: lot.producer,
      variety: lot.variety,
      additions: lot.additions,
      labelNotes: lot.labelNotes,
      elevationFromM: lot.elevationFromM,
      elevationToM: lot.elevationToM,
      paper: row.brewer.paper.name,
      grinderName: `${grinder.name}, ${grinder.burrSet}`,
      grinderSetting: settingFor(current.version.plan, grinder).grinderSetting,
      introduction: current.publication.introduction,
      versionNumber: current.version.number,
      publishedAt: current.publication.createdAt.toISOString(),
    };
  }
}

function refuseUnsigned({ signedOffAt }: RecipeVersionModel): void {
  if (signedOffAt === null) {
    throw new ProblemError('conflict', 'This version is not signed off; sign it off before publishing.');
  }
}

function listItem(row: RecipeModel, { version }: Current): PublicRecipeListItem {
  return {
    slug: row.slug ?? '',
    lotName: row.lot.name,
    country: row.lot.country,
    process: row.lot.process,
    brewerName: row.brewer.name,
    plan: version.plan,
  };
}

/** The publication that visitors see: the newest that was not withdrawn. */
function currentOf(row: RecipeModel): Current | null {
  const live = row.versions.flatMap((version) =>
    version.publications
      .filter(({ withdrawnAt }) => withdrawnAt === null)
      .map((publication) => ({ version, publication })),
  );
  return live.sort((a, b) => b.publication.id - a.publication.id)[0] ?? null;
}

async function freeSlug(words: string): Promise<string> {
  const base = slugOf(words);
  const taken = new Set(
    (await RecipeModel.findAll({ attributes: ['slug'], where: { slug: { [Op.startsWith]: base } } })).map(
      ({ slug }) => slug,
    ),
  );
  for (let number = 1; ; number++) {
    const slug = number === 1 ? base : `${base}-${number}`;
    if (!taken.has(slug)) return slug;
  }
}
