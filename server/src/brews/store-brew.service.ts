import { Injectable } from '@nestjs/common';
import {
  brewSoFar,
  finesTaken,
  measuredSoFar,
  storableRecord,
  storableTrace,
  type BrewPlan,
  type BrewLog,
  type Trace,
} from '@vendu/core';
import type { PutBrewDto } from '@vendu/contract';
import { ComparisonArmModel } from '../comparisons/comparison-arm.model.js';
import { ComparisonBrewModel } from '../comparisons/comparison-brew.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { HouseModel } from '../kit/house.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import type { PersonModel } from '../people/person.model.js';
import { invalidField } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { RunningBrewModel } from '../running-brews/running-brew.model.js';
import { momentAfterWeighing } from '../lots/stock-moments.js';
import { Writing } from '../writing/writing.js';
import { addToLog, logOfBrew } from '../brew-logs/brew-logs.js';
import { BrewModel } from './brew.model.js';
import { believableStart } from './believable-start.js';
import { kitNames, WITH_KIT } from './kit-names.js';
import { ReadingModel } from './reading.model.js';
import { TraceModel } from './trace.model.js';

/** A scale that was not there. */
const NO_CURVE: Trace = { atMs: [], massG: [] };

/** Takes a brew off a bench into the record, whole or not at all, and once. */
@Injectable()
export class StoreBrewService {
  constructor(private readonly writing: Writing) {}

  /**
   * Stores a brew under the bench's own key. Sent again, it finds what is there and changes nothing. It is never refused
   * for its curve or for the clock of its device: what cannot be is left out, or told and set right.
   *
   * @returns its id
   */
  async put(clientKey: string, brew: PutBrewDto, person: PersonModel): Promise<number> {
    const known = await BrewModel.findOne({ where: { clientKey } });
    if (known) return known.id;
    const { version, recipe, batch, grinder } = await this.origin(brew);
    const house = await HouseModel.findByPk(1, { rejectOnEmpty: true });
    const samples = brew.trace ? storableTrace(brew.trace) : NO_CURVE;
    const outflow = brew.outflow ? storableTrace(brew.outflow) : NO_CURVE;
    return this.writing.onLot(recipe.lotId, async () => {
      // Two sends of one brew race past the look-up above; they queue at its lot, and the first one stands.
      const first = await BrewModel.findOne({ where: { clientKey }, attributes: ['id'] });
      if (first) return first.id;
      await addToLog(clientKey, brew.entries, person.id);
      // What another device told of it, and this one never heard, is of it too.
      const { startMs, steps, events, note, measured } = recordOf(await logOfBrew(clientKey), version.plan);
      const { startedAt, clockOff } = believableStart({ startMs, steps }, new Date());
      const row = await BrewModel.create({
        clientKey,
        lotId: recipe.lotId,
        recipeVersionId: version.id,
        roastBatchId: batch.id,
        brewedBy: person.id,
        startedAt,
        plan: version.plan,
        steps,
        isSimulated: brew.isSimulated || events.some((event) => 'isSimulated' in event && event.isSimulated),
        fromCard: brew.fromCard,
        events: [...events, ...clockOff],
        kit: kitNames({ recipe, grinder }, version, house, brew.scale),
        note,
        finesG: finesTaken({ plan: version.plan, events })?.finesG ?? null,
        beverageG: measured.beverageG,
        createdAt: await momentAfterWeighing(recipe.lotId),
      });
      await ReadingModel.bulkCreate(
        measured.readings.map((reading) => ({ ...reading, brewId: row.id, readBy: person.id })),
      );
      if (samples.atMs.length > 0 || outflow.atMs.length > 0) {
        await TraceModel.create({
          brewId: row.id,
          samples,
          outflow: outflow.atMs.length > 0 ? outflow : null,
        });
      }
      await countForArm(row, brew.comparisonArmId);
      await RunningBrewModel.destroy({ where: { clientKey } });
      return row.id;
    });
  }

  private async origin({ recipeVersionId, roastBatchId, grinderId }: PutBrewDto) {
    const version = await RecipeVersionModel.findByPk(recipeVersionId);
    if (!version)
      throw invalidField({ field: 'recipeVersionId', message: 'There is no such recipe version.' });
    const recipe = await RecipeModel.findByPk(version.recipeId, {
      include: WITH_KIT,
      rejectOnEmpty: true,
    });
    const batch = await RoastBatchModel.findByPk(roastBatchId);
    if (batch?.lotId !== recipe.lotId) {
      throw invalidField({
        field: 'roastBatchId',
        message: 'This roast batch does not belong to the recipe’s lot.',
      });
    }
    const grinder = grinderId === null ? recipe.grinder : await GrinderModel.findByPk(grinderId);
    if (!grinder) throw invalidField({ field: 'grinderId', message: 'There is no such grinder.' });
    return { version, recipe, batch, grinder };
  }
}

/** A brew is never refused for a comparison: where its arm has gone or is another version by now, it counts for none. */
async function countForArm({ id, recipeVersionId }: BrewModel, armId: number | null): Promise<void> {
  if (armId === null) return;
  const arm = await ComparisonArmModel.findOne({ where: { id: armId, recipeVersionId } });
  if (arm) await ComparisonBrewModel.create({ comparisonArmId: arm.id, brewId: id });
}

/** What the record keeps of a log. */
function recordOf(log: BrewLog, plan: BrewPlan) {
  const soFar = brewSoFar(log);
  const { run, steps, events, note } = soFar;
  const [start] = run.marks;
  if (!start) {
    throw invalidField({ field: 'entries', message: 'A brew has its first pour marked.' });
  }
  return {
    startMs: start.atMs,
    ...storableRecord({ steps, events, note }),
    measured: measuredSoFar({ plan, soFar }),
  };
}
