import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { RecipesModule } from '../recipes/recipes.module.js';
import { FilesController } from './files.controller.js';
import { FilesService } from './files.service.js';

@Module({ imports: [BrewsModule, RecipesModule], controllers: [FilesController], providers: [FilesService] })
export class FilesModule {}
