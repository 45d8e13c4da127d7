import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import {
  CUP_IS_GONE_H,
  isOfProcess,
  LEXICON,
  tastedCaffeineMg,
  tasterHistory,
  type SipTaken,
} from '@vendu/core';
import type { CaffeineView, TasterView } from '@vendu/contract';
import { brewDose, brewWater } from '../brews/brew-views.js';
import { BrewModel } from '../brews/brew.model.js';
import { TastingModel } from '../brews/tasting.model.js';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';

const HOUR_MS = 3_600_000;
/** How somebody reads is told from so many of the newest sheets: of years ago he may have read otherwise. */
const SHEETS_COMPARED = 3000;
/** Words are gathered from so many of the newest sheets; a longer note is a sentence and completes nothing. */
const SHEETS_READ = 2000;
const LONGEST_WORD = 30;
const MOST_WORDS = 200;
const IN_LEXICON = new Set(LEXICON.map(({ word }) => word));

/** What was sent before is of a cup that nobody tastes any more. */
const cupIsGone = () => new Date(Date.now() - CUP_IS_GONE_H * HOUR_MS);

@Injectable()
export class TastersService {
  /**
   * From sheets that were written before another's was seen, as they were first sent. Those of cups that are still tasted
   * wait: from the sums somebody could guess at what is not open.
   */
  async all(): Promise<TasterView[]> {
    const rows = await TastingModel.findAll({
      where: { isAfterOthers: false, createdAt: { [Op.lt]: cupIsGone() } },
      attributes: ['brewId', 'stage', 'tastedBy', 'intensities', 'firstSheet'],
      include: [{ model: PersonModel, attributes: ['id', 'name'] }],
      order: [['id', 'DESC']],
      limit: SHEETS_COMPARED,
    });
    const habits = tasterHistory(
      rows.map(({ brewId, stage, tastedBy, intensities, firstSheet }) => ({
        brewId,
        stage,
        personId: tastedBy,
        intensities: firstSheet?.intensities ?? intensities,
      })),
    );
    const people = new Map(rows.map(({ taster }) => [taster.id, taster.name]));
    return [...people]
      .map(([personId, name]) => ({
        personId,
        name,
        sheets: rows.filter(({ tastedBy }) => tastedBy === personId).length,
        habits: habits.get(personId) ?? [],
      }))
      .sort((a, b) => a.name.localeCompare(b.name));
  }

  /**
   * Notes that were written more than once here and stand in no lexicon, the most used first. Those of cups that are
   * still tasted wait: they would tell of sheets that are not open.
   */
  async words(): Promise<string[]> {
    const rows = await TastingModel.findAll({
      attributes: ['notes'],
      where: { createdAt: { [Op.lt]: cupIsGone() } },
      order: [['id', 'DESC']],
      limit: SHEETS_READ,
    });
    const counts = new Map<string, number>();
    for (const { notes } of rows) {
      for (const note of notes.split(',')) {
        const word = note.trim().toLowerCase();
        if (word === '' || word.length > LONGEST_WORD || IN_LEXICON.has(word)) continue;
        counts.set(word, (counts.get(word) ?? 0) + 1);
      }
    }
    return [...counts]
      .filter(([, count]) => count > 1)
      .sort(([, a], [, b]) => b - a)
      .slice(0, MOST_WORDS)
      .map(([word]) => word);
  }

  async caffeine({ id }: PersonModel): Promise<CaffeineView> {
    const [view] = await this.caffeineOf([id]);
    return view ?? { mg: 0, lastHourMg: 0, sheets: 0 };
  }

  /**
   * Of several people, in their order, read at once. Over 24 hours rather than a date: a shift may go past midnight.
   */
  async caffeineOf(personIds: readonly number[]): Promise<CaffeineView[]> {
    const rows = await TastingModel.findAll({
      attributes: ['brewId', 'tastedBy', 'isSpat', 'createdAt'],
      where: { tastedBy: [...personIds], createdAt: { [Op.gt]: new Date(Date.now() - 24 * HOUR_MS) } },
    });
    const brews = await BrewModel.findAll({
      attributes: ['id', 'lotId', 'doseG', 'waterG', 'beverageG', 'plan', 'steps'],
      where: { id: [...new Set(rows.map(({ brewId }) => brewId))] },
    });
    const lots = await LotModel.findAll({
      attributes: ['id', 'process', 'isDecaffeinated'],
      where: { id: [...new Set(brews.map(({ lotId }) => lotId))] },
    });
    const brewOf = new Map(brews.map((brew) => [brew.id, brew]));
    const lotOf = new Map(lots.map((lot) => [lot.id, lot]));
    return personIds.map((personId) => {
      const own = rows.filter(({ tastedBy }) => tastedBy === personId);
      const sips = own.flatMap(({ brewId, isSpat, createdAt }): (SipTaken & { atMs: number })[] => {
        const brew = brewOf.get(brewId);
        const lot = brew && lotOf.get(brew.lotId);
        if (!lot) return [];
        return [
          {
            doseG: brewDose(brew).doseG,
            beverageG: brew.beverageG ?? expectedBeverageG(brew),
            isDecaffeinated: isOfProcess(lot, 'decaffeinated'),
            isSpat,
            atMs: createdAt.getTime(),
          },
        ];
      });
      return {
        mg: tastedCaffeineMg(sips),
        lastHourMg: tastedCaffeineMg(sips.filter(({ atMs }) => Date.now() - atMs < HOUR_MS)),
        sheets: own.length,
      };
    });
  }
}

/** A beverage that nobody weighed: the water but for what a bed usually keeps, g/g (common practice). */
const USUALLY_RETAINED = 2;

function expectedBeverageG(brew: BrewModel): number {
  return brewWater(brew).waterG - USUALLY_RETAINED * brewDose(brew).doseG;
}
