import { Module } from '@nestjs/common';
import { RunningBrewsController } from './running-brews.controller.js';
import { RunningBrewsService } from './running-brews.service.js';

@Module({ controllers: [RunningBrewsController], providers: [RunningBrewsService] })
export class RunningBrewsModule {}
