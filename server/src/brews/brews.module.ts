import { Module } from '@nestjs/common';
import { BrewReader } from './brew-reader.js';
import { BrewsController } from './brews.controller.js';
import { BrewsService } from './brews.service.js';

@Module({ controllers: [BrewsController], providers: [BrewsService, BrewReader], exports: [BrewReader] })
export class BrewsModule {}
