import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { earlierLots, similarLots, type BrewPlan } from '@vendu/core';
import type { NewRecipeDto, StartingPreview } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { Computation } from '../computation/computation.js';
import { KitService } from '../kit/kit.service.js';
import { refuseImpossibleAim } from '../kit/reversed-window.js';
import { LotModel } from '../lots/lot.model.js';
import { newestBatch, RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { brewsElsewhere, knownElsewhere } from './brews-elsewhere.js';
import { plainPlan, refusePlanFaults } from './plan-refusals.js';
import { RecipeVersionModel } from './recipe-version.model.js';
import { RecipeModel } from './recipe.model.js';
import { settingFor } from './recipe-views.js';
import { readFinishedLots } from './finished-lots.js';
import { startingFacts } from './starting-facts.js';
import { refuseUnknownKit } from './unknown-kit.js';

/** Composes the first recipe of a lot on one brewer, and keeps it as version 1 of a new recipe. */
@Injectable()
export class StartingRecipesService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly kit: KitService,
    private readonly brews: BrewReader,
    private readonly computation: Computation,
    private readonly writing: Writing,
  ) {}

  /** The starting recipe as it would be, before anybody keeps it. */
  async preview(lotId: number, asked: NewRecipeDto): Promise<StartingPreview> {
    const { started, similar, earlier, grinder, brewsElsewhere: known } = await this.compose(lotId, asked);
    return {
      ...started,
      earlierLots: earlier.length,
      brewsElsewhere: known,
      ...settingFor(started.plan, grinder),
      similar: similar.map(({ lotId, name, likeness, because, startGrindUm, plan }) => ({
        lotId,
        name,
        likeness,
        because,
        startGrindUm,
        plan,
      })),
    };
  }

  /**
   * Keeps the starting recipe with its reasons, or a plan that was brought along.
   *
   * @returns the id of the new recipe
   */
  async start(
    lotId: number,
    asked: NewRecipeDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<number> {
    const { plan, reasons, note } = asked.plan
      ? { plan: await this.givenPlan(lotId, asked.plan), reasons: null, note: asked.note }
      : { ...(await this.compose(lotId, asked)).started, note: 'Starting recipe' };
    const { brewer, grinder, paper } = await this.chosenSetup(asked);
    const keep = async () => {
      const row = await RecipeModel.create({
        lotId,
        brewerId: brewer.id,
        grinderId: grinder.id,
        paperId: paper.id,
        waterId: asked.waterId,
        kettleId: asked.kettleId,
        aim: asked.aim && { ...asked.aim },
        schools: asked.schools && { ...asked.schools },
        switchedOff: asked.switchedOff,
        createdBy: person.id,
      });
      await RecipeVersionModel.create({
        recipeId: row.id,
        number: 1,
        plan,
        reasons,
        note,
        createdBy: person.id,
      });
      return row.id;
    };
    return this.writing.onLot(lotId, keep, request);
  }

  /** What a recipe is to be brewed with and for, each there or refused at its field. */
  private async chosenSetup({ brewerId, grinderId, paperId, waterId, kettleId, aim }: NewRecipeDto) {
    if (aim) refuseImpossibleAim(aim, 'aim.');
    await refuseUnknownKit({ paperId, waterId, kettleId });
    const [brewer, grinder] = await Promise.all([this.kit.brewer(brewerId), this.kit.grinder(grinderId)]);
    const [paper, water, kettle] = await Promise.all([
      this.kit.paper(paperId ?? brewer.paperId),
      waterId === null ? null : this.kit.water(waterId),
      kettleId === null ? null : this.kit.kettle(kettleId),
    ]);
    return { brewer, grinder, paper, water, kettle };
  }

  /** A plan that somebody brings along, as one scaled into another brewer. */
  private async givenPlan(lotId: number, plan: BrewPlan): Promise<BrewPlan> {
    if (!(await LotModel.findByPk(lotId))) throw notFound('lot');
    await refusePlanFaults(plan, this.kit);
    return plainPlan(plan);
  }

  private async compose(lotId: number, asked: NewRecipeDto) {
    const { switchedOff, offersTaken, schools, aim, doseG } = asked;
    const lot = await LotModel.findByPk(lotId, { include: [RoastBatchModel] });
    if (!lot) throw notFound('lot');
    const [house, { brewer, grinder, paper, water, kettle }] = await Promise.all([
      this.kit.house(),
      this.chosenSetup(asked),
    ]);
    const facts = startingFacts({
      lot,
      batch: newestBatch(lot.roastBatches),
      onDate: new Date().toISOString().slice(0, 10),
      brewer,
      doseG,
      paper,
      water,
      kettle,
      schools: schools ?? house.schools,
      labElevationM: house.elevationM,
    });
    const finished = await readFinishedLots(this.sequelize, lotId);
    const similar = similarLots(
      {
        process: lot.process,
        baseProcess: lot.baseProcess,
        additions: lot.additions,
        isDecaffeinated: lot.isDecaffeinated,
        elevation: facts.elevation,
        roastLevel: facts.roastLevel,
        variety: lot.variety,
        brewerShape: brewer.shape,
      },
      finished,
    );
    const earlier = earlierLots({ brewerShape: brewer.shape }, finished);
    const sizes = grinder.points.map(({ grindUm }) => grindUm);
    const brewKit = await this.kit.brewKit(brewer, paper);
    const elsewhere = await brewsElsewhere({ lotId, id: null }, await this.brews.ofLot(lotId));
    const brews = await knownElsewhere(brewKit, elsewhere, this.kit);
    const started = await this.computation.run('fittedStart', {
      facts,
      switchedOff,
      offersTaken,
      kit: brewKit,
      houseWindow: house.window,
      aim: aim && { ...aim },
      reach: { finestUm: Math.min(...sizes), coarsestUm: Math.max(...sizes) },
      earlierLots: earlier,
      brews,
    });
    return { started, similar, earlier, grinder, brewsElsewhere: brews.length };
  }
}
