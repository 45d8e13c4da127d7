import { Module } from '@nestjs/common';
import { KitModule } from '../kit/kit.module.js';
import { CupsController } from './cups.controller.js';
import { CupsService } from './cups.service.js';
import { TastingsService } from './tastings.service.js';

@Module({
  imports: [KitModule],
  controllers: [CupsController],
  providers: [CupsService, TastingsService],
})
export class CupsModule {}
