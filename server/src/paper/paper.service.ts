import { Injectable } from '@nestjs/common';
import type { CardSize } from '@vendu/card/paper';
import type { PersonModel } from '../people/person.model.js';
import { BrewModel } from '../brews/brew.model.js';
import { BrewsService } from '../brews/brews.service.js';
import { BlindPlaceModel, pathOfPlace } from '../comparisons/blind-place.model.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { grinderView } from '../kit/kit-views.js';
import { KitService } from '../kit/kit.service.js';
import { PaperModel } from '../kit/paper.model.js';
import { LotModel } from '../lots/lot.model.js';
import { LotsService } from '../lots/lots.service.js';
import { notFound } from '../problem/problem-error.js';
import { PublicationsService } from '../publications/publications.service.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { settingFor } from '../recipes/recipe-views.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { RecipesService } from '../recipes/recipes.service.js';
import { Drawing } from './drawing.js';

/** A file to print, and what it is called. */
export interface Paper {
  name: string;
  file: Buffer;
}

/** Gathers what stands on a paper, and has it drawn. */
@Injectable()
export class PaperService {
  constructor(
    private readonly publications: PublicationsService,
    private readonly recipes: RecipesService,
    private readonly brews: BrewsService,
    private readonly lots: LotsService,
    private readonly kit: KitService,
    private readonly drawing: Drawing,
  ) {}

  async card(slug: string, size: CardSize, address: string): Promise<Paper> {
    const card = await this.publications.bySlug(slug);
    return { name: `${slug}-${size}`, file: await this.drawing.run('cardPdf', { card, address, size }) };
  }

  async bagLabel(slug: string, address: string): Promise<Paper> {
    const card = await this.publications.bySlug(slug);
    return { name: `${slug}-label`, file: await this.drawing.run('bagLabelPdf', { card, address }) };
  }

  /** What stands beside a link to a card. */
  async preview(slug: string): Promise<Buffer> {
    return this.drawing.run('previewPng', { card: await this.publications.bySlug(slug) });
  }

  async benchSheet(versionId: number): Promise<Paper> {
    const version = await RecipeVersionModel.findByPk(versionId);
    if (!version) throw notFound('recipe version');
    const { lot, brewer, paper, grinder } = await RecipeModel.findByPk(version.recipeId, {
      include: [LotModel, BrewerModel, PaperModel, GrinderModel],
      rejectOnEmpty: true,
    });
    const file = await this.drawing.run('benchSheetPdf', {
      lotName: lot.name,
      brewerName: brewer.name,
      paper: paper.name,
      grinder: grinder.name,
      grinderSetting: settingFor(version.plan, grinderView(grinder)).grinderSetting,
      versionNumber: version.number,
      plan: version.plan,
      printedAt: new Date(),
    });
    return { name: `bench-sheet-${lot.id}-${version.number}`, file };
  }

  async cupLabels(brewId: number, viewer: PersonModel): Promise<Paper> {
    const brew = await this.brews.read(brewId, viewer);
    const file = await this.drawing.run('cupLabelsPdf', {
      lotName: brew.lot.name,
      brewNumber: brew.number,
      brewedAt: new Date(brew.startedAt),
      additions: brew.lot.additions,
      printedAt: new Date(),
    });
    return { name: `cups-${brewId}`, file };
  }

  async blindLabels(testId: number, origin: string): Promise<Paper> {
    const places = await BlindPlaceModel.findAll({ where: { blindTestId: testId }, order: ['number'] });
    if (places.length === 0) throw notFound('blind test');
    const file = await this.drawing.run('blindLabelsPdf', {
      sets: places.map(({ number, secret, cups }) => ({
        number,
        address: `${origin}${pathOfPlace(secret)}`,
        codes: cups.map(({ code }) => code),
      })),
      printedAt: new Date(),
    });
    return { name: `coded-cups-${testId}`, file };
  }

  async dossier(lotId: number, viewer: PersonModel): Promise<Paper> {
    const lot = await this.lots.read(lotId);
    const ids = await BrewModel.findAll({ where: { lotId }, attributes: ['id'], order: ['startedAt', 'id'] });
    const [{ window }, recipes, brews, signed] = await Promise.all([
      this.kit.house(),
      Promise.all(lot.recipes.map(({ id }) => this.recipes.read(id))),
      Promise.all(ids.map(({ id }) => this.brews.read(id, viewer))),
      RecipeVersionModel.findAll({
        where: { recipeId: lot.recipes.map(({ id }) => id) },
        attributes: ['id', 'proof'],
      }),
    ]);
    const file = await this.drawing.run('dossierPdf', {
      lot,
      recipes,
      brews,
      proofs: new Map(signed.flatMap(({ id, proof }) => (proof ? [[id, proof]] : []))),
      window,
      printedAt: new Date(),
    });
    return { name: `dossier-${lotId}`, file };
  }
}
