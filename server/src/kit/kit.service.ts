import { Injectable } from '@nestjs/common';
import { UniqueConstraintError, type Model, type ModelStatic } from 'sequelize';
import {
  brewerFaults,
  brewerGeometry,
  grinderCurve,
  grinderFaults,
  type BrewKit,
  type FeederKind,
} from '@vendu/core';
import type {
  BrewerDto,
  BrewerView,
  FeederDto,
  GrinderDto,
  GrinderView,
  HouseChecklistDto,
  HouseDto,
  HouseView,
  InstrumentDto,
  KettleDto,
  KettleView,
  KitView,
  PaperDto,
  PaperView,
  SchoolsDto,
  SieveDto,
  StatedSettingDto,
  WaterDto,
  WaterView,
  ZeroCheckDto,
} from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { BrewerModel } from './brewer.model.js';
import { GrinderModel } from './grinder.model.js';
import { FeederModel } from './feeder.model.js';
import { HouseModel } from './house.model.js';
import { InstrumentModel } from './instrument.model.js';
import { KettleModel } from './kettle.model.js';
import {
  brewerView,
  feederView,
  grinderView,
  houseView,
  instrumentView,
  kettleView,
  paperView,
  sieveView,
  statedSettingView,
  waterView,
} from './kit-views.js';
import { bodyOf, bodyPart, refuseMisfit } from './brewer-bottoms.js';
import { reachedBy, refuseOverdosed } from './mixed-water.js';
import { refuseReversedWindow } from './reversed-window.js';
import { PaperModel } from './paper.model.js';
import { SieveModel } from './sieve.model.js';
import { StatedSettingModel } from './stated-setting.model.js';
import { WaterModel } from './water.model.js';
import { ZeroCheckModel } from './zero-check.model.js';

/** A row that a change must have been typed over. */
type RevisedModel = Model & { id: number; revision: number };

/** Kit that a brew is known by. */
export type BrewedWith = 'grinder' | 'brewer' | 'paper' | 'water';
const BREWED_WITH: readonly string[] = ['grinder', 'brewer', 'paper', 'water'] satisfies BrewedWith[];

@Injectable()
export class KitService {
  private readonly followers: ((what: BrewedWith, id: number) => Promise<void>)[] = [];

  constructor(private readonly writing: Writing) {}

  /** Does something once kit has become another: other burrs, another name. Whoever saved it does not wait for that. */
  follow(work: (what: BrewedWith, id: number) => Promise<void>): void {
    this.followers.push(work);
  }

  async kit(): Promise<KitView> {
    const [house, brewers, grinders, papers, kettles, waters, instruments, sieves, feeders, stated] =
      await Promise.all([
        this.house(),
        BrewerModel.findAll({ include: [PaperModel], order: ['id'] }),
        GrinderModel.findAll({ order: ['id'] }),
        PaperModel.findAll({ order: ['id'] }),
        KettleModel.findAll({ order: ['id'] }),
        WaterModel.findAll({ order: ['id'] }),
        InstrumentModel.findAll({
          include: [{ model: ZeroCheckModel, include: [PersonModel] }],
          order: ['id', [{ model: ZeroCheckModel, as: 'zeroChecks' }, 'id', 'DESC']],
        }),
        SieveModel.findAll({ order: ['holesUm'] }),
        FeederModel.findAll({ order: ['id'] }),
        StatedSettingModel.findAll({ order: ['grinderId', 'setting', 'id'] }),
      ]);
    return {
      house,
      brewers: brewers.map(brewerView),
      grinders: grinders.map(grinderView),
      papers: papers.map(paperView),
      kettles: kettles.map(kettleView),
      waters: waters.map(waterView),
      instruments: instruments.map(instrumentView),
      sieves: sieves.map(sieveView),
      feeders: feeders.map(feederView),
      statedSettings: stated.map(statedSettingView),
    };
  }

  async house(): Promise<HouseView> {
    return houseView(await HouseModel.findByPk(1, { rejectOnEmpty: true }));
  }

  async brewer(id: number): Promise<BrewerView> {
    const row = await BrewerModel.findByPk(id, { include: [PaperModel] });
    if (!row) throw notFound('brewer');
    return brewerView(row);
  }

  async grinder(id: number): Promise<GrinderView> {
    const row = await GrinderModel.findByPk(id);
    if (!row) throw notFound('grinder');
    return grinderView(row);
  }

  async paper(id: number): Promise<PaperView> {
    const row = await PaperModel.findByPk(id);
    if (!row) throw notFound('paper');
    return paperView(row);
  }

  async kettle(id: number): Promise<KettleView> {
    const row = await KettleModel.findByPk(id);
    if (!row) throw notFound('kettle');
    return kettleView(row);
  }

  async water(id: number): Promise<WaterView> {
    const row = await WaterModel.findByPk(id);
    if (!row) throw notFound('water');
    return waterView(row);
  }

  /** What a brewer, a paper in it and the room are to the brew model. */
  async brewKit(brewer: BrewerView, paper: PaperView): Promise<BrewKit> {
    const { roomC, elevationM } = await this.house();
    return {
      brewer: brewerGeometry(brewer, paper),
      paperPerM: paper.resistancePerM,
      ambientC: roomC,
      elevationM,
    };
  }

  async savePaper(id: number | null, paper: PaperDto, request: RequestKeyOf | null = null): Promise<KitView> {
    await this.save(request, PaperModel, id, 'paper', paper.revision, paper);
    return this.kit();
  }

  async saveBrewer(
    id: number | null,
    brewer: BrewerDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    if (!(await PaperModel.findByPk(brewer.paperId))) {
      throw invalidField({ field: 'paperId', message: 'There is no such paper.' });
    }
    const whole = async () => {
      const body = await bodyOf(brewer, id);
      const made = body ? { ...brewer, ...body } : brewer;
      const [fault] = brewerFaults(made);
      if (fault) throw invalidField(fault);
      if (id !== null && brewer.bodyOfId === null) await refuseMisfit(id, bodyPart(brewer));
      return made;
    };
    await this.save(request, BrewerModel, id, 'brewer', brewer.revision, whole, async (saved) => {
      // A bottom is screwed into its brewer: what the brewer is changed to, it is with any of its bottoms.
      if (brewer.bodyOfId === null)
        await BrewerModel.update(bodyPart(brewer), { where: { bodyOfId: saved } });
    });
    return this.kit();
  }

  async saveSieve(id: number | null, sieve: SieveDto, request: RequestKeyOf | null = null): Promise<KitView> {
    await this.save(request, SieveModel, id, 'sieve', sieve.revision, sieve);
    return this.kit();
  }

  async saveFeeder(
    id: number | null,
    feeder: FeederDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    if (feeder.kind === 'regulator' && feeder.flowGps === null) {
      throw invalidField({
        field: 'flowGps',
        message: 'A regulator needs the most that it lets through: time what it holds.',
      });
    }
    if (feeder.kind === 'shower-plate' && feeder.flowGps !== null) {
      throw invalidField({
        field: 'flowGps',
        message: 'A shower plate spreads the water and does not meter it; leave this out.',
      });
    }
    await this.save(request, FeederModel, id, feederWords(feeder.kind), feeder.revision, feeder);
    return this.kit();
  }

  async saveStatedSetting(
    id: number | null,
    stated: StatedSettingDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    if (stated.grinderId === stated.otherGrinderId) {
      throw invalidField({ field: 'otherGrinderId', message: 'Choose two different grinders.' });
    }
    for (const field of ['grinderId', 'otherGrinderId'] as const) {
      if (!(await GrinderModel.findByPk(stated[field]))) {
        throw invalidField({ field, message: 'There is no such grinder.' });
      }
    }
    await this.save(request, StatedSettingModel, id, 'statement', stated.revision, stated);
    return this.kit();
  }

  removeSieve(id: number): Promise<KitView> {
    return this.remove(SieveModel, id, 'sieve');
  }

  removeFeeder(id: number): Promise<KitView> {
    return this.remove(FeederModel, id, 'regulator or shower plate');
  }

  removeStatedSetting(id: number): Promise<KitView> {
    return this.remove(StatedSettingModel, id, 'statement');
  }

  async saveGrinder(
    id: number | null,
    grinder: GrinderDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    const curve = grinderCurve({ points: grinder.points });
    if (!curve.ok) throw invalidField({ field: 'points', message: curve.message });
    const [fault] = grinderFaults(grinder);
    if (fault) throw invalidField(fault);
    const points = grinder.points.map((point) => ({ ...point }));
    const words = grinder.words.map((each) => ({ ...each }));
    await this.save(request, GrinderModel, id, 'grinder', grinder.revision, { ...grinder, points, words });
    return this.kit();
  }

  async saveKettle(
    id: number | null,
    kettle: KettleDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    await this.save(request, KettleModel, id, 'kettle', kettle.revision, kettle);
    return this.kit();
  }

  async saveWater(
    id: number | null,
    { mix, ...water }: WaterDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    if (water.origin === 'mixed' && mix === null) {
      throw invalidField({ field: 'mix', message: 'A mixed water needs its base and its concentrates.' });
    }
    if (water.origin === 'analysis' && mix !== null) {
      throw invalidField({ field: 'mix', message: 'A water by analysis is not mixed; leave the mix out.' });
    }
    // What a mix gives follows from it; a typed figure beside it could only disagree.
    const reached = mix && {
      hardnessMgPerL: reachedBy(mix.base.hardnessMgPerL, mix.concentrates, 'hardnessPerG'),
      alkalinityMgPerL: reachedBy(mix.base.alkalinityMgPerL, mix.concentrates, 'alkalinityPerG'),
    };
    if (reached) refuseOverdosed(reached);
    const plainMix = mix && {
      bottleL: mix.bottleL,
      base: { ...mix.base },
      concentrates: mix.concentrates.map((each) => ({ ...each })),
    };
    await this.save(request, WaterModel, id, 'water', water.revision, {
      ...water,
      ...reached,
      mix: plainMix,
    });
    return this.kit();
  }

  async saveInstrument(
    id: number | null,
    instrument: InstrumentDto,
    request: RequestKeyOf | null = null,
  ): Promise<KitView> {
    await this.save(request, InstrumentModel, id, 'instrument', instrument.revision, instrument);
    return this.kit();
  }

  async addZeroCheck(
    instrumentId: number,
    { shown }: ZeroCheckDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<KitView> {
    await this.writing.once(request, async () => {
      if (!(await InstrumentModel.findByPk(instrumentId))) throw notFound('instrument');
      return (await ZeroCheckModel.create({ instrumentId, shown, checkedBy: person.id })).id;
    });
    return this.kit();
  }

  async saveHouse(house: HouseDto): Promise<KitView> {
    refuseReversedWindow(house);
    await this.save(null, HouseModel, 1, 'house', house.revision, house);
    return this.kit();
  }

  async saveChecklist({ revision, ...checklist }: HouseChecklistDto): Promise<KitView> {
    await this.save(null, HouseModel, 1, 'house', revision, { checklist });
    return this.kit();
  }

  async saveSchools({ revision, ...schools }: SchoolsDto): Promise<KitView> {
    await this.save(null, HouseModel, 1, 'house', revision, { schools });
    return this.kit();
  }

  /** Only of what no recipe points at: plans keep the figures of what was taken from here. */
  private async remove<T extends RevisedModel>(
    model: ModelStatic<T>,
    id: number,
    what: string,
  ): Promise<KitView> {
    await this.writing.once(null, async () => {
      const row = await model.findByPk(id);
      if (!row) throw notFound(what);
      await row.destroy();
      return id;
    });
    return this.kit();
  }

  /** Stores something new, or changes what is stored if nobody else has changed it since it was read. */
  private async save<T extends RevisedModel>(
    request: RequestKeyOf | null,
    model: ModelStatic<T>,
    id: number | null,
    what: string,
    revision: number | null,
    typed: object | (() => Promise<object>),
    after?: (id: number) => Promise<void>,
  ): Promise<void> {
    const saved = { isOther: false };
    try {
      await this.writing.once(request, async () => {
        const given = Object.entries(
          typeof typed === 'function' ? await (typed as () => Promise<object>)() : typed,
        );
        // The revision counts changes; it is none itself.
        const values = Object.fromEntries(given.filter(([field]) => field !== 'revision'));
        if (id === null) return (await model.create(values as never)).id;
        const row = await model.findByPk(id);
        if (!row) throw notFound(what);
        if (row.revision !== revision) {
          throw new ProblemError(
            'stale',
            `This ${what} was saved by somebody else since you opened it. Your entries are kept here.`,
          );
        }
        row.set(values as never);
        saved.isOther = ['name', 'burrSet'].some((field) => row.changed(field as never));
        await row.save();
        await after?.(id);
        return id;
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      throw invalidField({ field: 'name', message: `There is another ${what} of this name.` });
    }
    if (id === null || !saved.isOther || !BREWED_WITH.includes(what)) return;
    for (const work of this.followers) void work(what as BrewedWith, id);
  }
}

function feederWords(kind: FeederKind): string {
  return kind === 'regulator' ? 'regulator' : 'shower plate';
}
