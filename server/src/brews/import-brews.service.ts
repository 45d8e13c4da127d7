import { Injectable } from '@nestjs/common';
import { brewSoFar, storableRecord } from '@vendu/core';
import type { BrewInFileDto, BrewsFileDto, BrewsFileTaken, FieldError } from '@vendu/contract';
import { addToLog } from '../brew-logs/brew-logs.js';
import { HouseModel } from '../kit/house.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import type { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { figureFaults, keyOfLine, logInFile, meantBy, type BrewMeant } from './brew-in-file.js';
import { BrewReader } from './brew-reader.js';
import { BrewModel } from './brew.model.js';
import { kitNames, WITH_KIT } from './kit-names.js';
import { ReadingModel } from './reading.model.js';

/** Takes in brews and readings that were written down elsewhere, all of a table or none of it. */
@Injectable()
export class ImportBrewsService {
  constructor(
    private readonly writing: Writing,
    private readonly reader: BrewReader,
  ) {}

  async import(
    lotId: number,
    { recipeId, brews }: BrewsFileDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<BrewsFileTaken> {
    const recipe = await RecipeModel.findOne({ where: { id: recipeId, lotId }, include: WITH_KIT });
    if (!recipe) throw notFound('recipe of this lot');
    return this.writing.onLot(
      lotId,
      async () => {
        const [versions, batches, house, trail] = await Promise.all([
          RecipeVersionModel.findAll({ where: { recipeId }, order: ['number'] }),
          RoastBatchModel.findAll({ where: { lotId }, order: ['roastedOn', 'id'] }),
          HouseModel.findByPk(1, { rejectOnEmpty: true }),
          this.reader.ofLot(lotId),
        ]);
        const faults: FieldError[] = [];
        const now = new Date();
        const meant = brews.map((brew, index) => {
          const found =
            brew.number === null ? meantBy(brew, { versions, batches, now }) : readAgain(brew, trail);
          if (!Array.isArray(found)) return found;
          faults.push(...found.map((fault) => ({ ...fault, field: `brews.${index}.${fault.field}` })));
          return null;
        });
        refuse(faults);
        const taken: BrewsFileTaken = { brews: 0, readings: 0, known: 0 };
        for (const [index, brew] of brews.entries()) {
          const line = meant[index];
          if (!line) continue;
          const brewId =
            'brewId' in line ? line.brewId : await this.store({ brew, line, recipe, house, person });
          const isKnown = brewId === null || ('brewId' in line && line.isRead);
          if (isKnown) {
            taken.known += 1;
            continue;
          }
          if (!('brewId' in line)) taken.brews += 1;
          taken.readings += brew.tdsPercents.length;
          await ReadingModel.bulkCreate(
            brew.tdsPercents.map((tdsPercent) => ({
              brewId,
              tdsPercent,
              sampleC: null,
              source: 'typed' as const,
              readBy: person.id,
            })),
          );
        }
        return taken;
      },
      request,
    );
  }

  /** @returns its id; `null` where this line was stored before */
  private async store({
    brew,
    line,
    recipe,
    house,
    person,
  }: {
    brew: BrewInFileDto;
    line: BrewMeant;
    recipe: RecipeModel;
    house: HouseModel;
    person: PersonModel;
  }): Promise<number | null> {
    const clientKey = keyOfLine(recipe.id, brew);
    if (await BrewModel.findOne({ where: { clientKey }, attributes: ['id'] })) return null;
    const { startedAt, version, batch } = line;
    const log = logInFile(brew, line);
    await addToLog(clientKey, log, person.id);
    const { steps, events, note } = storableRecord(brewSoFar(log));
    const row = await BrewModel.create({
      clientKey,
      lotId: recipe.lotId,
      recipeVersionId: version.id,
      roastBatchId: batch.id,
      brewedBy: person.id,
      startedAt,
      plan: version.plan,
      steps,
      events,
      kit: kitNames({ recipe }, version, house, ''),
      note,
      doseG: brew.doseG,
      waterG: brew.waterG,
      beverageG: brew.beverageG,
      // What was weighed since as stock had these grams gone already.
      createdAt: startedAt,
    });
    return row.id;
  }
}

/** A line that tells readings of a brew that is here: by its number in the lot. */
function readAgain(
  brew: BrewInFileDto,
  trail: Awaited<ReturnType<BrewReader['ofLot']>>,
): { brewId: number; isRead: boolean } | FieldError[] {
  const found = trail.find(({ number }) => number === brew.number);
  if (!found) return [{ field: 'number', message: `The lot has no brew ${brew.number}.` }];
  if (brew.tdsPercents.length === 0) {
    return [{ field: 'tdsPercents', message: 'A line with the number of a brew brings its readings.' }];
  }
  const faults = figureFaults({ ...brew, beverageG: null }, found.plan);
  return faults.length > 0 ? faults : { brewId: found.id, isRead: found.result !== null };
}

function refuse(faults: FieldError[]): void {
  const [first] = faults;
  if (first) throw new ProblemError('invalid-input', first.message, faults);
}
