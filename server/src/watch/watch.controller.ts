import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { RecipeAgeNoteDto, RecipeWatchLimitsDto, type WatchListView, type WatchView } from '@vendu/contract';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOnly } from '../session/access.js';
import { WatchService } from './watch.service.js';

@Controller()
export class WatchController {
  constructor(private readonly service: WatchService) {}

  @Get('watch')
  list(): Promise<WatchListView> {
    return this.service.list();
  }

  @Get('recipes/:recipeId/watch')
  read(@Param('recipeId', IdPipe) id: number): Promise<WatchView> {
    return this.service.read(id);
  }

  @Put('recipes/:recipeId/watch-limits')
  @LeadOnly()
  setLimits(@Param('recipeId', IdPipe) id: number, @Body() limits: RecipeWatchLimitsDto): Promise<WatchView> {
    return this.service.setLimits(id, limits);
  }

  @Put('recipes/:recipeId/age-note')
  @LeadOnly()
  setAgeNote(@Param('recipeId', IdPipe) id: number, @Body() note: RecipeAgeNoteDto): Promise<WatchView> {
    return this.service.setAgeNote(id, note);
  }
}
