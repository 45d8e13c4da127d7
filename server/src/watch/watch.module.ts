import { Module } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { BrewsModule } from '../brews/brews.module.js';
import { Writing } from '../writing/writing.js';
import { refreshWatch } from './refresh-watch.js';
import { WatchController } from './watch.controller.js';
import { WatchReader } from './watch-reader.js';
import { WatchService } from './watch.service.js';

@Module({
  imports: [BrewsModule],
  controllers: [WatchController],
  providers: [WatchReader, WatchService],
  exports: [WatchService],
})
export class WatchModule {
  constructor(writing: Writing, sequelize: Sequelize, reader: WatchReader) {
    writing.follow((lotId) => refreshWatch(sequelize, reader, lotId));
  }
}
