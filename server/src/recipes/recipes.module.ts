import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { ComputationModule } from '../computation/computation.module.js';
import { KitModule } from '../kit/kit.module.js';
import { RecipesController } from './recipes.controller.js';
import { StartingRecipesService } from './starting-recipes.service.js';
import { LotEvidenceService } from './lot-evidence.service.js';
import { RecipesService } from './recipes.service.js';

@Module({
  imports: [BrewsModule, ComputationModule, KitModule],
  controllers: [RecipesController],
  providers: [LotEvidenceService, RecipesService, StartingRecipesService],
  exports: [LotEvidenceService, RecipesService],
})
export class RecipesModule {}
