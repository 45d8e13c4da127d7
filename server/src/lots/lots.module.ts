import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { LotsController } from './lots.controller.js';
import { LotsService } from './lots.service.js';

@Module({
  imports: [BrewsModule, RecipesModule],
  controllers: [LotsController],
  providers: [LotsService],
})
export class LotsModule {}
