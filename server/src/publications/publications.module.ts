import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { ComputationModule } from '../computation/computation.module.js';
import { HomeResultsModule } from '../home-results/home-results.module.js';
import { KitModule } from '../kit/kit.module.js';
import { ProofModule } from '../proof/proof.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { WebhooksModule } from '../webhooks/webhooks.module.js';
import { CardContentsService } from './card-contents.js';
import { PublicationsController } from './publications.controller.js';
import { PublicationsService } from './publications.service.js';

@Module({
  imports: [
    BrewsModule,
    ComputationModule,
    HomeResultsModule,
    KitModule,
    ProofModule,
    RecipesModule,
    WebhooksModule,
  ],
  controllers: [PublicationsController],
  providers: [CardContentsService, PublicationsService],
  exports: [PublicationsService],
})
export class PublicationsModule {}
