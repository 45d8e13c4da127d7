import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { KitModule } from '../kit/kit.module.js';
import { RecipesController } from './recipes.controller.js';
import { RecipesService } from './recipes.service.js';

@Module({
  imports: [BrewsModule, KitModule],
  controllers: [RecipesController],
  providers: [RecipesService],
  exports: [RecipesService],
})
export class RecipesModule {}
