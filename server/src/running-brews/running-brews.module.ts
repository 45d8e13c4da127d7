import { Module } from '@nestjs/common';
import { RunningBrewsController } from './running-brews.controller.js';
import { RunningBrewsService } from './running-brews.service.js';

@Module({
  controllers: [RunningBrewsController],
  providers: [RunningBrewsService],
  exports: [RunningBrewsService],
})
export class RunningBrewsModule {}
