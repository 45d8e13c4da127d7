import { Module } from '@nestjs/common';
import { TastersController } from './tasters.controller.js';
import { ReferenceCupsService } from './reference-cups.service.js';
import { TastersService } from './tasters.service.js';

@Module({
  controllers: [TastersController],
  providers: [ReferenceCupsService, TastersService],
  exports: [TastersService],
})
export class TastersModule {}
