import { Module } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { BrewsModule } from '../brews/brews.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { Writing } from '../writing/writing.js';
import { refreshLotProgress } from './lot-progress.js';
import { LotsController } from './lots.controller.js';
import { LotsService } from './lots.service.js';

@Module({
  imports: [BrewsModule, RecipesModule],
  controllers: [LotsController],
  providers: [LotsService],
  exports: [LotsService],
})
export class LotsModule {
  constructor(writing: Writing, sequelize: Sequelize) {
    writing.follow((lotId) => refreshLotProgress(sequelize, [lotId]));
  }
}
