import { Module } from '@nestjs/common';
import { KitModule } from '../kit/kit.module.js';
import { LotsModule } from '../lots/lots.module.js';
import { PeopleModule } from '../people/people.module.js';
import { TastersModule } from '../tasters/tasters.module.js';
import { WatchModule } from '../watch/watch.module.js';
import { LaunchesService } from './launches.service.js';
import { TodayBrewsService } from './today-brews.service.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({
  imports: [KitModule, LotsModule, PeopleModule, TastersModule, WatchModule],
  controllers: [TodayController],
  providers: [LaunchesService, TodayBrewsService, TodayService],
})
export class TodayModule {}
