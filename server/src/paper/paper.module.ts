import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { ComparisonsModule } from '../comparisons/comparisons.module.js';
import { KitModule } from '../kit/kit.module.js';
import { LotsModule } from '../lots/lots.module.js';
import { PublicationsModule } from '../publications/publications.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { Drawing } from './drawing.js';
import { PaperController } from './paper.controller.js';
import { PaperService } from './paper.service.js';

@Module({
  imports: [BrewsModule, ComparisonsModule, KitModule, LotsModule, PublicationsModule, RecipesModule],
  controllers: [PaperController],
  providers: [Drawing, PaperService],
})
export class PaperModule {}
