import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  ParseEnumPipe,
  ParseIntPipe,
  Patch,
  Post,
  Put,
} from '@nestjs/common';
import { TASTING_STAGES, type TastingStage } from '@vendu/core';
import {
  BrewKeyParam,
  FractionsDto,
  MendStepDto,
  NewReadingDto,
  PutBrewDto,
  TastingDto,
  VerdictDto,
  WeighBrewDto,
  type BrewTraces,
  type BrewView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { notFound } from '../problem/problem-error.js';
import { SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { StoreBrewService } from './store-brew.service.js';
import { BrewsService } from './brews.service.js';

const STAGE_PIPE = new ParseEnumPipe(Object.fromEntries(TASTING_STAGES.map((stage) => [stage, stage])), {
  exceptionFactory: () => notFound('tasting stage'),
});

@Controller('brews')
export class BrewsController {
  constructor(
    private readonly service: BrewsService,
    private readonly storing: StoreBrewService,
  ) {}

  @Put('by-key/:key')
  async put(
    @Param() { key }: BrewKeyParam,
    @Body() brew: PutBrewDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    return this.service.read(await this.storing.put(key, brew, person));
  }

  @Get(':brewId/trace')
  async traces(@Param('brewId', IdPipe) id: number): Promise<BrewTraces> {
    return this.service.traces(id);
  }

  @Patch(':brewId/steps/:stepIndex')
  mendStep(
    @Param('brewId', IdPipe) id: number,
    @Param('stepIndex', ParseIntPipe) stepIndex: number,
    @Body() mended: MendStepDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    return this.service.mendStep(id, stepIndex, mended, person);
  }

  @Put(':brewId/fractions')
  putFractions(@Param('brewId', IdPipe) id: number, @Body() fractions: FractionsDto): Promise<BrewView> {
    return this.service.putFractions(id, fractions);
  }

  @Get(':brewId')
  read(@Param('brewId', IdPipe) id: number): Promise<BrewView> {
    return this.service.read(id);
  }

  @Patch(':brewId')
  weigh(
    @Param('brewId', IdPipe) id: number,
    @Body() weighed: WeighBrewDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    return this.service.weigh(id, weighed, person);
  }

  @Post(':brewId/readings')
  addReading(
    @Param('brewId', IdPipe) id: number,
    @Body() reading: NewReadingDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<BrewView> {
    return this.service.addReading(id, reading, person, request);
  }

  @Delete(':brewId/readings/:readingId')
  removeReading(
    @Param('brewId', IdPipe) id: number,
    @Param('readingId', IdPipe) readingId: number,
  ): Promise<BrewView> {
    return this.service.setReadingRemoved(id, readingId, true);
  }

  @Post(':brewId/readings/:readingId/restore')
  @HttpCode(200)
  restoreReading(
    @Param('brewId', IdPipe) id: number,
    @Param('readingId', IdPipe) readingId: number,
  ): Promise<BrewView> {
    return this.service.setReadingRemoved(id, readingId, false);
  }

  @Put(':brewId/tastings/:stage')
  putTasting(
    @Param('brewId', IdPipe) id: number,
    @Param('stage', STAGE_PIPE) stage: TastingStage,
    @Body() tasting: TastingDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    return this.service.putTasting(id, stage, tasting, person);
  }

  @Put(':brewId/verdict')
  giveVerdict(@Param('brewId', IdPipe) id: number, @Body() verdict: VerdictDto): Promise<BrewView> {
    return this.service.giveVerdict(id, verdict);
  }

  @Post(':brewId/set-aside')
  @HttpCode(200)
  setAside(@Param('brewId', IdPipe) id: number): Promise<BrewView> {
    return this.service.setAside(id, true);
  }

  @Delete(':brewId/set-aside')
  takeBack(@Param('brewId', IdPipe) id: number): Promise<BrewView> {
    return this.service.setAside(id, false);
  }
}
