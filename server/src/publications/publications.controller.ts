import { Body, Controller, Delete, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import {
  PublishDto,
  PublishedQueryDto,
  type PublicRecipeView,
  type PublishedPageView,
  type RecipeView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOnly, SignedIn, VisitorsToo } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { PublicationsService } from './publications.service.js';

@Controller()
export class PublicationsController {
  constructor(private readonly service: PublicationsService) {}

  @Post('publications')
  @LeadOnly()
  publish(
    @Body() publication: PublishDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<RecipeView> {
    return this.service.publish(publication, person, request);
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
  page(@Query() query: PublishedQueryDto): Promise<PublishedPageView> {
    return this.service.page(query);
  }

  @Get('published/:slug')
  @VisitorsToo()
  bySlug(@Param('slug') slug: string): Promise<PublicRecipeView> {
    return this.service.bySlug(slug);
  }
}
