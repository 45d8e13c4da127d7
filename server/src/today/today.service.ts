import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { LotsQueryDto, type TodayView } from '@vendu/contract';
import { KitService } from '../kit/kit.service.js';
import { LotsService } from '../lots/lots.service.js';
import { PeopleService } from '../people/people.service.js';
import { TastersService } from '../tasters/tasters.service.js';
import { WatchService } from '../watch/watch.service.js';
import { aftersNow } from './afters.js';
import { LaunchesService } from './launches.service.js';
import { TodayBrewsService } from './today-brews.service.js';

/** Gathers what a day asks for; the plan of it is worked out where it is looked at. */
@Injectable()
export class TodayService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly lots: LotsService,
    private readonly watch: WatchService,
    private readonly kit: KitService,
    private readonly people: PeopleService,
    private readonly tasters: TastersService,
    private readonly brews: TodayBrewsService,
    private readonly launches: LaunchesService,
  ) {}

  async read(): Promise<TodayView> {
    const [{ lots }, watched, kit, people, afters] = await Promise.all([
      this.lots.page(new LotsQueryDto()),
      this.watch.list(),
      this.kit.kit(),
      this.people.hands(),
      aftersNow(this.sequelize),
    ]);
    const [brews, launches, caffeine] = await Promise.all([
      this.brews.of(lots, watched.recipes),
      this.launches.of(lots),
      this.tasters.caffeineOf(people.map(({ id }) => id)),
    ]);
    return {
      ...brews,
      afters,
      launches,
      people: people.map(({ id, name, inFrom, inUntil }, index) => ({
        id,
        name,
        caffeineMg: caffeine[index]?.mg ?? 0,
        hours: inFrom && inUntil ? { from: inFrom, until: inUntil } : null,
      })),
      kettles: Math.max(1, kit.kettles.length),
      roomC: kit.house.roomC,
      zeroChecks: kit.instruments
        .filter(({ isZeroDue }) => isZeroDue)
        .map(({ name, lastZero, zeroEveryDays }) => ({
          instrument: name,
          lastAt: lastZero?.at ?? null,
          everyDays: zeroEveryDays,
        })),
      signatures: lots
        .filter(
          ({ due, proofMissing }) =>
            due.action === 'publish' || (due.action === 'sign-off' && proofMissing?.length === 0),
        )
        .map(({ id, name, due }) => ({ lotId: id, lotName: name, action: due.action })),
    };
  }
}
