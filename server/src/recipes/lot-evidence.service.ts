import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import { MODEL_VERSION, type LotEvidence } from '@vendu/core';
import { BrewReader } from '../brews/brew-reader.js';
import { Computation } from '../computation/computation.js';
import { KitService } from '../kit/kit.service.js';
import { LotModel } from '../lots/lot.model.js';
import { Writing } from '../writing/writing.js';
import { evidenceOf, keepEvidence } from './lot-evidence.js';
import { RecipeModel } from './recipe.model.js';
import { RecipeVersionModel } from './recipe-version.model.js';

/** What finished lots teach the next ones, and that it is always what this version of the model makes of their brews. */
@Injectable()
export class LotEvidenceService {
  constructor(
    private readonly kit: KitService,
    private readonly brews: BrewReader,
    private readonly computation: Computation,
    private readonly writing: Writing,
  ) {}

  async ofRecipe({ id, lotId, brewerId, paperId }: RecipeModel): Promise<LotEvidence | null> {
    const [brewer, paper, trail] = await Promise.all([
      this.kit.brewer(brewerId),
      this.kit.paper(paperId),
      this.brews.ofLot(lotId),
    ]);
    return evidenceOf(
      trail.filter(({ recipeId }) => recipeId === id),
      await this.kit.brewKit(brewer, paper),
      (input) => this.computation.run('calibrateLot', input),
    );
  }

  /** @returns how many lots' brews were learned from again, by the version of the model that is now in use */
  async relearnOutdated(): Promise<number> {
    const outdated = await LotModel.findAll({
      attributes: ['id'],
      where: {
        evidence: { [Op.not]: null },
        evidenceModel: { [Op.or]: [{ [Op.is]: null }, { [Op.ne]: MODEL_VERSION }] },
      },
    });
    for (const { id: lotId } of outdated) {
      const accepted = await RecipeModel.findAll({
        where: { lotId },
        include: [{ model: RecipeVersionModel, where: { acceptedAt: { [Op.not]: null } } }],
      });
      const latest = accepted.sort((a, b) => acceptedAtMs(a) - acceptedAtMs(b)).at(-1);
      const evidence = latest ? await this.ofRecipe(latest) : null;
      await this.writing.onLot(lotId, () => keepEvidence(lotId, evidence));
    }
    return outdated.length;
  }
}

function acceptedAtMs({ versions }: RecipeModel): number {
  return Math.max(...versions.map(({ acceptedAt }) => acceptedAt?.getTime() ?? 0));
}
