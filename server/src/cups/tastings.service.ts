import { isDeepStrictEqual } from 'node:util';
import { Injectable } from '@nestjs/common';
import { isBlankSheet, type TastingSheet, type TastingStage } from '@vendu/core';
import type { TastingDto } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { invalidField } from '../problem/problem-error.js';
import { Writing } from '../writing/writing.js';
import { CupsService } from './cups.service.js';
import { sheetsSeenBy } from '../brews/sheets-seen.js';
import { TastingLookModel } from '../brews/tasting-look.model.js';
import { sheetOfRow, tastingView } from '../brews/tasting-views.js';
import { TastingModel } from '../brews/tasting.model.js';

@Injectable()
export class TastingsService {
  constructor(
    private readonly writing: Writing,
    private readonly cups: CupsService,
  ) {}

  /**
   * Stores a sheet as its taster sent it. One that is altered once others could be seen keeps what it said first; one
   * that is first sent then is marked so.
   */
  async put(id: number, stage: TastingStage, tasting: TastingDto, person: PersonModel): Promise<void> {
    const sheet = asStored(tasting);
    // An empty sheet would open the others' for nothing.
    if (isBlankSheet(sheet)) {
      throw invalidField({ field: 'notes', message: 'A sheet says at least one thing of the cup.' });
    }
    const brew = await this.cups.brewBefore(id, person);
    await this.writing.onLot(brew.lotId, async () => {
      const rows = await TastingModel.findAll({ where: { brewId: id, stage }, include: [PersonModel] });
      const own = rows.find(({ tastedBy }) => tastedBy === person.id);
      const others = rows.filter((row) => row !== own).map(tastingView);
      if (!own) {
        const { open } = await sheetsSeenBy(person.id, brew, others);
        const isAfterOthers = open.length > 0;
        await TastingModel.create({ brewId: id, tastedBy: person.id, stage, isAfterOthers, ...sheet });
        return;
      }
      const before = sheetOfRow(own);
      if (isDeepStrictEqual(before, sheet)) return;
      await own.update({
        ...sheet,
        firstSheet: own.firstSheet ?? (others.length > 0 ? before : null),
      });
    });
  }

  /** Somebody will not taste this one, and sees what the others wrote. */
  async look(id: number, person: PersonModel): Promise<void> {
    const { lotId } = await this.cups.brewBefore(id, person);
    await this.writing.onLot(lotId, async () => {
      await TastingLookModel.upsert({ brewId: id, personId: person.id, lookedAt: new Date() });
    });
  }
}

/** JSON columns want plain objects, not class instances. */
function asStored(tasting: TastingDto): TastingSheet {
  const { notes, intensities, likings, overall, aromas, vessel, faults, isSpat } = tasting;
  return {
    notes,
    intensities: { ...intensities },
    likings: { ...likings },
    overall,
    aromas: { ...aromas },
    vessel,
    faults: [...faults],
    isSpat,
  };
}
