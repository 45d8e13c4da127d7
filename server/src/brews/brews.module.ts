import { Module } from '@nestjs/common';
import { BrewReader } from './brew-reader.js';
import { BrewsController } from './brews.controller.js';
import { BrewsService } from './brews.service.js';
import { ImportBrewsController } from './import-brews.controller.js';
import { ImportBrewsService } from './import-brews.service.js';
import { StoreBrewService } from './store-brew.service.js';

@Module({
  controllers: [BrewsController, ImportBrewsController],
  providers: [BrewsService, BrewReader, ImportBrewsService, StoreBrewService],
  exports: [BrewReader, BrewsService],
})
export class BrewsModule {}
