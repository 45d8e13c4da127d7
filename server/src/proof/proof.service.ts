import { Injectable } from '@nestjs/common';
import { CHECK_NAMES, type Proof, type ProofCheckId } from '@vendu/core';
import type { ProofView, RecipeChecklistDto, RecipeView, SignOffDto, WaiverDto } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { VersionSignatureModel } from '../recipes/version-signature.model.js';
import { RecipesService } from '../recipes/recipes.service.js';
import { refuseMove } from '../recipes/version-life.js';
import { Writing } from '../writing/writing.js';
import { ForgivenessService } from './forgiveness.service.js';
import { ProofReader, type Forgiving, type ReadProof } from './proof-reader.js';
import { ProofWaiverModel } from './proof-waiver.model.js';

/** Shares nearer to each other than this are one: it is worked out from 200 brews. */
const SAME_SHARE = 0.005;

/** What a version has to show before its sign-off, what a lead lets pass, and the sign-off itself. */
@Injectable()
export class ProofService {
  constructor(
    private readonly reader: ProofReader,
    private readonly forgiveness: ForgivenessService,
    private readonly recipes: RecipesService,
    private readonly writing: Writing,
  ) {}

  async view(versionId: number, viewer: PersonModel): Promise<ProofView> {
    const read = await this.known(versionId, viewer);
    await this.keepForgiven(read);
    return proofView(read);
  }

  /** The list of lots says it too, and cannot wait until it is worked out. */
  private async keepForgiven({ recipe, version, proof }: ReadProof): Promise<void> {
    const share = insideShareIn(proof);
    if (
      share === null ||
      (version.forgivenShare !== null && Math.abs(share - version.forgivenShare) < SAME_SHARE)
    ) {
      return;
    }
    await this.writing.onLot(recipe.lotId, () =>
      RecipeVersionModel.update({ forgivenShare: share }, { where: { id: version.id } }),
    );
  }

  async setChecklist(recipeId: number, { checklist }: RecipeChecklistDto): Promise<RecipeView> {
    const recipe = await RecipeModel.findByPk(recipeId);
    if (!recipe) throw notFound('recipe');
    await this.writing.onLot(recipe.lotId, () => recipe.update({ checklist: checklist && { ...checklist } }));
    return this.recipes.read(recipeId);
  }

  async waive(
    versionId: number,
    check: ProofCheckId,
    { reason }: WaiverDto,
    person: PersonModel,
  ): Promise<ProofView> {
    await this.writing.onLot(await lotOf(versionId), async () => {
      const standing = await ProofWaiverModel.findOne({
        where: { recipeVersionId: versionId, checkId: check, takenBackAt: null },
      });
      if (standing?.reason === reason) return;
      await standing?.update({ takenBackAt: new Date(), takenBackBy: person.id });
      await ProofWaiverModel.create({
        recipeVersionId: versionId,
        checkId: check,
        reason,
        waivedBy: person.id,
      });
    });
    return this.view(versionId, person);
  }

  async takeWaiverBack(versionId: number, check: ProofCheckId, person: PersonModel): Promise<ProofView> {
    await this.writing.onLot(await lotOf(versionId), async () => {
      const version = await RecipeVersionModel.findByPk(versionId, { rejectOnEmpty: true });
      if (version.signedOffAt !== null) {
        throw new ProblemError(
          'conflict',
          'This version was signed off with it; take the sign-off back first.',
        );
      }
      await ProofWaiverModel.update(
        { takenBackAt: new Date(), takenBackBy: person.id },
        { where: { recipeVersionId: versionId, checkId: check, takenBackAt: null } },
      );
    });
    return this.view(versionId, person);
  }

  /** A lead puts his name to what was proved; what it had shown stays with it. */
  async signOff(versionId: number, { reason }: SignOffDto, person: PersonModel): Promise<RecipeView> {
    const proven = await this.proven(versionId, person);
    await this.writing.onLot(await lotOf(versionId), async () => {
      const row = await RecipeVersionModel.findByPk(versionId, { rejectOnEmpty: true });
      await refuseMove(row, 'sign-off');
      if (row.signedOffAt !== null) return;
      const proof = await proven();
      if (proof.isOneHand && proof.hands[0] === person.name && reason === '') {
        throw invalidField({
          field: 'reason',
          message: 'You made all its brews yourself: let another lead sign it off, or say why you do.',
        });
      }
      await row.update({ signedOffBy: person.id, signedOffAt: new Date(), signOffReason: reason, proof });
    });
    return this.recipes.read(await recipeOf(versionId));
  }

  async takeSignOffBack(versionId: number): Promise<RecipeView> {
    await this.writing.onLot(await lotOf(versionId), async () => {
      const row = await RecipeVersionModel.findByPk(versionId, { rejectOnEmpty: true });
      await refuseMove(row, 'take-sign-off-back');
      await row.update({ signedOffBy: null, signedOffAt: null, signOffReason: '', proof: null });
      // Without it there is no card for a name to stand on.
      await VersionSignatureModel.destroy({ where: { recipeVersionId: versionId } });
    });
    return this.recipes.read(await recipeOf(versionId));
  }

  async putNameOn(versionId: number, { id: personId }: PersonModel): Promise<RecipeView> {
    await this.writing.onLot(await lotOf(versionId), async () => {
      const row = await RecipeVersionModel.findByPk(versionId, { rejectOnEmpty: true });
      if (row.signedOffBy === null) {
        throw new ProblemError('conflict', 'A lead signs a version off first; then names go on its card.');
      }
      await VersionSignatureModel.findOrCreate({ where: { recipeVersionId: versionId, personId } });
    });
    return this.recipes.read(await recipeOf(versionId));
  }

  async takeNameOff(versionId: number, { id: personId }: PersonModel): Promise<RecipeView> {
    await this.writing.onLot(await lotOf(versionId), () =>
      VersionSignatureModel.destroy({ where: { recipeVersionId: versionId, personId } }),
    );
    return this.recipes.read(await recipeOf(versionId));
  }

  /**
   * Works out ahead what takes a while. The answer is to be asked in the lot's turn, where all else is read again.
   *
   * @throws ProblemError `conflict` from the answer, where something is missing
   */
  async proven(versionId: number, person: PersonModel): Promise<() => Promise<Proof>> {
    const { proof: before } = await this.known(versionId, person);
    const insideShare = insideShareIn(before);
    return async () => {
      const { proof } = await this.known(versionId, person, () => Promise.resolve(insideShare));
      refuseUnproven(proof);
      return proof;
    };
  }

  private async known(
    versionId: number,
    viewer: PersonModel,
    shareInside = (asked: Forgiving) => this.forgiveness.shareInside(asked),
  ): Promise<ReadProof> {
    const read = await this.reader.read(versionId, viewer.id, shareInside);
    if (!read) throw notFound('recipe version');
    return read;
  }
}

function insideShareIn({ checks }: Proof): number | null {
  const finding = checks.find(({ check }) => check === 'forgiveness')?.finding;
  return finding?.check === 'forgiveness' && finding.percent !== null ? finding.percent / 100 : null;
}

/** @throws ProblemError `conflict` that names what is missing */
function refuseUnproven({ checks }: Proof): void {
  const missing = checks.filter(({ state }) => state === 'missing').map(({ check }) => CHECK_NAMES[check]);
  if (missing.length === 0) return;
  throw new ProblemError(
    'conflict',
    `Not proven yet, missing: ${missing.join('; ')}. A lead may waive a check with a reason.`,
  );
}

async function versionWithRecipe(versionId: number): Promise<RecipeModel> {
  const version = await RecipeVersionModel.findByPk(versionId);
  if (!version) throw notFound('recipe version');
  return RecipeModel.findByPk(version.recipeId, { rejectOnEmpty: true });
}

const lotOf = async (versionId: number) => (await versionWithRecipe(versionId)).lotId;
const recipeOf = async (versionId: number) => (await versionWithRecipe(versionId)).id;

function proofView({ recipe, version, checklist, proof, brews, waivers }: ReadProof): ProofView {
  return {
    ...proof,
    lotId: recipe.lotId,
    recipeId: recipe.id,
    recipeVersionId: version.id,
    checklist,
    hasOwnChecklist: recipe.checklist !== null,
    signOffReason: version.signOffReason,
    checks: proof.checks.map((check) => {
      const row = waivers.find(({ checkId }) => checkId === check.check);
      return {
        ...check,
        waived: row ? { by: row.waiver.name, at: row.createdAt.toISOString() } : null,
      };
    }),
    brews: brews
      .map((brew) => ({
        ...brew,
        notCounted: proof.notCounted.find(({ id }) => id === brew.id)?.why ?? null,
      }))
      .reverse(),
  };
}
