import { Body, Controller, Get, HttpCode, Param, Post, UseGuards } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import { HomeResultDto, type HomeResultsView } from '@vendu/contract';
import { IdPipe } from '../problem/id.pipe.js';
import { VisitorsToo } from '../session/access.js';
import { HomeResultsService } from './home-results.service.js';

@Controller()
export class HomeResultsController {
  constructor(private readonly service: HomeResultsService) {}

  @Post('published/:slug/home-results')
  @VisitorsToo()
  @UseGuards(ThrottlerGuard)
  @HttpCode(204)
  tell(@Param('slug') slug: string, @Body() result: HomeResultDto): Promise<void> {
    return this.service.tell(slug, result);
  }

  @Get('recipes/:recipeId/home-results')
  ofRecipe(@Param('recipeId', IdPipe) recipeId: number): Promise<HomeResultsView> {
    return this.service.ofRecipe(recipeId);
  }
}
