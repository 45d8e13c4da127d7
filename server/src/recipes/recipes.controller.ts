import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import {
  NewRecipeDto,
  NewVersionDto,
  RecipeSchoolsDto,
  RecipeSetupDto,
  type RecipeView,
  type StartingPreview,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { StartingRecipesService } from './starting-recipes.service.js';
import { RecipesService } from './recipes.service.js';

@Controller()
export class RecipesController {
  constructor(
    private readonly service: RecipesService,
    private readonly starts: StartingRecipesService,
  ) {}

  /** Looks at a starting recipe without keeping it. */
  @Post('lots/:lotId/starting-recipe')
  @HttpCode(200)
  preview(@Param('lotId', IdPipe) lotId: number, @Body() recipe: NewRecipeDto): Promise<StartingPreview> {
    return this.starts.preview(lotId, recipe);
  }

  @Put('recipes/:recipeId/setup')
  setUp(@Param('recipeId', IdPipe) id: number, @Body() setup: RecipeSetupDto): Promise<RecipeView> {
    return this.service.setUp(id, setup);
  }

  @Put('recipes/:recipeId/schools')
  setSchools(@Param('recipeId', IdPipe) id: number, @Body() schools: RecipeSchoolsDto): Promise<RecipeView> {
    return this.service.setSchools(id, schools);
  }

  @Post('lots/:lotId/recipes')
  async start(
    @Param('lotId', IdPipe) lotId: number,
    @Body() recipe: NewRecipeDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<RecipeView> {
    return this.service.read(await this.starts.start(lotId, recipe, person, request));
  }

  @Get('recipes/:recipeId')
  read(@Param('recipeId', IdPipe) id: number): Promise<RecipeView> {
    return this.service.read(id);
  }

  @Post('recipes/:recipeId/versions')
  addVersion(
    @Param('recipeId', IdPipe) id: number,
    @Body() version: NewVersionDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<RecipeView> {
    return this.service.addVersion(id, version, person, request);
  }

  @Put('recipe-versions/:versionId/acceptance')
  accept(@Param('versionId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<RecipeView> {
    return this.service.setAccepted(id, true, person);
  }

  @Delete('recipe-versions/:versionId/acceptance')
  takeBackAcceptance(
    @Param('versionId', IdPipe) id: number,
    @SignedIn() person: PersonModel,
  ): Promise<RecipeView> {
    return this.service.setAccepted(id, false, person);
  }
}
