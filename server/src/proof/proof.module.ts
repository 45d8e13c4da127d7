import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { ComputationModule } from '../computation/computation.module.js';
import { KitModule } from '../kit/kit.module.js';
import { Sequelize } from 'sequelize-typescript';
import { Writing } from '../writing/writing.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { ForgivenessService } from './forgiveness.service.js';
import { ProofController } from './proof.controller.js';
import { ProofReader } from './proof-reader.js';
import { refreshProof } from './refresh-proof.js';
import { ProofService } from './proof.service.js';

@Module({
  imports: [BrewsModule, ComputationModule, KitModule, RecipesModule],
  controllers: [ProofController],
  providers: [ForgivenessService, ProofReader, ProofService],
  exports: [ProofService],
})
export class ProofModule {
  constructor(writing: Writing, sequelize: Sequelize, reader: ProofReader) {
    writing.follow((lotId) => refreshProof(sequelize, reader, lotId));
  }
}
