import type { BrewerView } from '@vendu/contract';
import { BrewerModel } from '../kit/brewer.model.js';
import { FeederModel } from '../kit/feeder.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { InstrumentModel } from '../kit/instrument.model.js';
import { KettleModel } from '../kit/kettle.model.js';
import { brewerView } from '../kit/kit-views.js';
import { PaperModel } from '../kit/paper.model.js';
import { SieveModel } from '../kit/sieve.model.js';
import { StatedSettingModel } from '../kit/stated-setting.model.js';
import { WaterModel } from '../kit/water.model.js';
import { ZeroCheckModel } from '../kit/zero-check.model.js';
import type { PersonModel } from '../people/person.model.js';
import { at, momentDaysAgo } from './demo-dates.js';
import {
  BOTTOM,
  BREWERS,
  FEEDERS,
  GRINDERS,
  HOUSE_WATER,
  INSTRUMENTS,
  KETTLES,
  PAPERS,
  SIEVES,
  STATED,
  WATERS,
} from './scenario-kit.js';

/** What the lots of the demo are brewed with. */
export interface DemoKit {
  brewers: BrewerView[];
  grinders: GrinderModel[];
  waterId: number;
  kettleId: number | null;
}

/** Loads everything that the invented lab brews and measures with. */
export async function loadKit(people: PersonModel[]): Promise<DemoKit> {
  const papers = await PaperModel.bulkCreate(PAPERS.map((each) => ({ ...each })));
  const rows = await BrewerModel.bulkCreate(
    BREWERS.map(({ paper, ...each }) => ({ ...each, paperId: at(papers, paper).id })),
  );
  const brewers = rows.map((row, index) => {
    row.paper = at(papers, at(BREWERS, index).paper);
    return brewerView(row);
  });
  await loadBottom(rows, papers);
  const [kettle] = await KettleModel.bulkCreate(KETTLES.map((each) => ({ ...each })));
  const waters = await WaterModel.bulkCreate(WATERS.map((each) => ({ ...each })));
  await loadInstruments(people);
  const grinders = await GrinderModel.bulkCreate(
    GRINDERS.map(({ points, ...each }) => ({
      ...each,
      points: [...points],
      owner: 'owner' in each ? each.owner : '',
      words: 'words' in each ? [...each.words] : [],
    })),
  );
  await SieveModel.bulkCreate(SIEVES.map((each) => ({ ...each })));
  await FeederModel.bulkCreate(FEEDERS.map((each) => ({ ...each })));
  await StatedSettingModel.bulkCreate(
    STATED.map(({ grinder, otherGrinder, ...each }) => ({
      ...each,
      grinderId: at(grinders, grinder).id,
      otherGrinderId: at(grinders, otherGrinder).id,
    })),
  );
  return { brewers, grinders, waterId: at(waters, HOUSE_WATER).id, kettleId: kettle?.id ?? null };
}

async function loadBottom(brewers: BrewerModel[], papers: PaperModel[]): Promise<void> {
  const { of, paper, ...own } = BOTTOM;
  const { shape, topDiameterMm, heightMm, ribs, wallMaterial, wallMm, id } = at(brewers, of);
  await BrewerModel.create({
    ...own,
    shape,
    topDiameterMm,
    heightMm,
    ribs,
    wallMaterial,
    wallMm,
    bodyOfId: id,
    paperId: at(papers, paper).id,
  });
}

async function loadInstruments(people: PersonModel[]): Promise<void> {
  for (const { zeroDaysAgo, ...instrument } of INSTRUMENTS) {
    const row = await InstrumentModel.create({ ...instrument });
    await ZeroCheckModel.create({
      instrumentId: row.id,
      shown: 0,
      checkedBy: at(people, 1).id,
      createdAt: momentDaysAgo(zeroDaysAgo, 7),
    });
  }
}
