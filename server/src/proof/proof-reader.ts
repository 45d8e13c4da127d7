import { Injectable } from '@nestjs/common';
import {
  labelMatch,
  labelNotesIn,
  markedDrainS,
  proofOf,
  type Proof,
  type ProofBrew,
  type ProofChecklist,
} from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewModel } from '../brews/brew.model.js';
import { sheetsSeenBy } from '../brews/sheets-seen.js';
import { tastingView } from '../brews/tasting-views.js';
import { TastingModel } from '../brews/tasting.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { HouseModel } from '../kit/house.model.js';
import { houseView } from '../kit/kit-views.js';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { ProofWaiverModel } from './proof-waiver.model.js';

/** What a version has shown, and what that was read from. */
export interface ReadProof {
  recipe: RecipeModel;
  version: RecipeVersionModel;
  checklist: ProofChecklist;
  proof: Proof;
  brews: (ProofBrew & { startedAt: string })[];
  waivers: ProofWaiverModel[];
}

/** A version, and the brews of its recipe that taught what is known of the lot. */
export interface Forgiving {
  recipe: RecipeModel;
  version: RecipeVersionModel;
  brews: readonly BrewListItem[];
}

/** Lays the records of a version beside its checklist. */
@Injectable()
export class ProofReader {
  constructor(private readonly trail: BrewReader) {}

  /**
   * @param viewerId - whose eyes: sheets that he may not see yet find no notes of the label
   * @param shareInside - tells how the version forgives, where its checklist asks for that
   */
  async read(
    versionId: number,
    viewerId: number,
    shareInside: (asked: Forgiving) => Promise<number | null>,
  ): Promise<ReadProof | null> {
    const version = await RecipeVersionModel.findByPk(versionId, {
      include: [{ model: PersonModel, as: 'creator' }],
    });
    if (!version) return null;
    const recipe = await RecipeModel.findByPk(version.recipeId, {
      include: [LotModel, GrinderModel],
      rejectOnEmpty: true,
    });
    const checklist = recipe.checklist ?? (await houseChecklist());
    const ofRecipe = (await this.trail.ofLot(recipe.lotId)).filter(({ recipeId }) => recipeId === recipe.id);
    const listed = ofRecipe.filter(({ versionNumber }) => versionNumber === version.number);
    const grinder = `${recipe.grinder.name}, ${recipe.grinder.burrSet}`;
    const { brews, sheets } = await this.brewsOf(listed, grinder, viewerId);
    const waivers = await ProofWaiverModel.findAll({
      where: { recipeVersionId: versionId, takenBackAt: null },
      include: [{ model: PersonModel, as: 'waiver' }],
    });
    const labelNotes = labelNotesIn(recipe.lot.labelNotes);
    const matched = labelMatch({ labelNotes, sheets }).notes;
    const proof = proofOf({
      checklist,
      plan: version.plan,
      brews,
      grinder,
      author: version.creator.name,
      label:
        labelNotes.length === 0
          ? null
          : { found: matched.filter(({ how }) => how !== 'not-found').length, of: labelNotes.length },
      insideShare:
        checklist.forgivenPercent === null ? null : await shareInside({ recipe, version, brews: ofRecipe }),
      lot: { process: recipe.lot.process, additions: recipe.lot.additions },
      waivers: waivers.map(({ checkId, reason }) => ({ check: checkId, reason })),
    });
    return { recipe, version, checklist, proof, brews, waivers };
  }

  private async brewsOf(listed: readonly BrewListItem[], ownGrinder: string, viewerId: number) {
    const rows = await BrewModel.findAll({
      where: { id: listed.map(({ id }) => id) },
      attributes: ['id', 'kit', 'startedAt'],
      include: [{ model: TastingModel, include: [{ model: PersonModel, as: 'taster' }] }],
    });
    const brews: (ProofBrew & { startedAt: string })[] = [];
    const sheets = [];
    for (const brew of listed) {
      const row = rows.find(({ id }) => id === brew.id);
      if (!row) continue;
      const written = row.tastings.map(tastingView);
      if (!brew.isSetAside && !brew.isSimulated) {
        sheets.push(...(await sheetsSeenBy(viewerId, row, written)).open);
      }
      brews.push({
        ...figuresOf(brew),
        grinder: row.kit?.grinder ?? ownGrinder,
        stages: [...new Set(written.map(({ stage }) => stage))],
      });
    }
    return { brews, sheets };
  }
}

async function houseChecklist(): Promise<ProofChecklist> {
  return houseView(await HouseModel.findByPk(1, { rejectOnEmpty: true })).checklist;
}

function figuresOf(brew: BrewListItem): Omit<ProofBrew, 'grinder' | 'stages'> & { startedAt: string } {
  const { result } = brew;
  return {
    id: brew.id,
    number: brew.number,
    by: brew.brewedBy,
    startedAt: brew.startedAt,
    isSetAside: brew.isSetAside,
    isSimulated: brew.isSimulated,
    fromCard: brew.fromCard,
    doseG: brew.doseG,
    waterG: brew.waterG,
    tdsPercent: result?.strength.meanPercent ?? null,
    yieldPercent: result?.yield.basis === 'weighed' ? result.yield.yieldPercent : null,
    drainS: markedDrainS(brew),
    roastAgeDays: brew.roastAgeDays,
  };
}
