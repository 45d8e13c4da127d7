import { Module } from '@nestjs/common';
import { KitModule } from '../kit/kit.module.js';
import { ProofModule } from '../proof/proof.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { PublicationsController } from './publications.controller.js';
import { PublicationsService } from './publications.service.js';

@Module({
  imports: [KitModule, ProofModule, RecipesModule],
  controllers: [PublicationsController],
  providers: [PublicationsService],
  exports: [PublicationsService],
})
export class PublicationsModule {}
