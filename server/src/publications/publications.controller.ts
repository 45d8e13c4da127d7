import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import {
  PublishDto,
  type PublicRecipeListItem,
  type PublicRecipeView,
  type RecipeView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOnly, SignedIn, VisitorsToo } from '../session/access.js';
import { PublicationsService } from './publications.service.js';

@Controller()
export class PublicationsController {
  constructor(private readonly service: PublicationsService) {}

  @Post('publications')
  @LeadOnly()
  publish(@Body() publication: PublishDto, @SignedIn() person: PersonModel): Promise<RecipeView> {
    return this.service.publish(publication, person);
  }

  @Delete('publications/:publicationId')
  @LeadOnly()
  withdraw(@Param('publicationId', IdPipe) id: number): Promise<RecipeView> {
    return this.service.setWithdrawn(id, true);
  }

  @Post('publications/:publicationId/restore')
  @LeadOnly()
  @HttpCode(200)
  restore(@Param('publicationId', IdPipe) id: number): Promise<RecipeView> {
    return this.service.setWithdrawn(id, false);
  }

  @Get('published')
  @VisitorsToo()
  list(): Promise<PublicRecipeListItem[]> {
    return this.service.list();
  }

  @Get('published/:slug')
  @VisitorsToo()
  bySlug(@Param('slug') slug: string): Promise<PublicRecipeView> {
    return this.service.bySlug(slug);
  }
}
