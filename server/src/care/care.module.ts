import { Module } from '@nestjs/common';
import { PublicationsModule } from '../publications/publications.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { RunningBrewsModule } from '../running-brews/running-brews.module.js';
import { WatchModule } from '../watch/watch.module.js';
import { CareService } from './care.service.js';

@Module({
  imports: [PublicationsModule, RecipesModule, RunningBrewsModule, WatchModule],
  providers: [CareService],
  exports: [CareService],
})
export class CareModule {}
