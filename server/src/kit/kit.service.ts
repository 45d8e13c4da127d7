import { Injectable } from '@nestjs/common';
import type { BrewerView, GrinderView, HouseView, KitView } from '@vendu/contract';
import { notFound } from '../problem/problem-error.js';
import { BrewerModel } from './brewer.model.js';
import { GrinderModel } from './grinder.model.js';
import { HouseModel } from './house.model.js';

@Injectable()
export class KitService {
  async kit(): Promise<KitView> {
    const [house, brewers, grinders] = await Promise.all([
      this.house(),
      BrewerModel.findAll({ order: ['id'] }),
      GrinderModel.findAll({ order: ['id'] }),
    ]);
    return { house, brewers: brewers.map(brewerView), grinders: grinders.map(grinderView) };
  }

  async house(): Promise<HouseView> {
    const row = await HouseModel.findByPk(1, { rejectOnEmpty: true });
    return {
      name: row.name,
      place: row.place,
      elevationM: row.elevationM,
      window: {
        tdsLowPercent: row.tdsLowPercent,
        tdsHighPercent: row.tdsHighPercent,
        yieldLowPercent: row.yieldLowPercent,
        yieldHighPercent: row.yieldHighPercent,
      },
    };
  }

  async brewer(id: number): Promise<BrewerView> {
    const row = await BrewerModel.findByPk(id);
    if (!row) throw notFound('brewer');
    return brewerView(row);
  }

  async grinder(id: number): Promise<GrinderView> {
    const row = await GrinderModel.findByPk(id);
    if (!row) throw notFound('grinder');
    return grinderView(row);
  }
}

function brewerView({ id, name, shape, outlet, paper, usualDoseG, capacityG }: BrewerModel): BrewerView {
  return { id, name, shape, outlet, paper, usualDoseG, capacityG };
}

function grinderView({ id, name, burrSet, settingStep, points }: GrinderModel): GrinderView {
  return { id, name, burrSet, settingStep, points };
}
