import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  ParseIntPipe,
  Patch,
  Post,
  Put,
} from '@nestjs/common';
import {
  BrewKeyParam,
  FractionsDto,
  MendStepDto,
  NewReadingDto,
  PutBrewDto,
  VerdictDto,
  WeighBrewDto,
  type BrewTraces,
  type BrewView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { StoreBrewService } from './store-brew.service.js';
import { BrewsService } from './brews.service.js';

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
    return this.service.read(await this.storing.put(key, brew, person), person);
  }

  @Get(':brewId/trace')
  async traces(@Param('brewId', IdPipe) id: number): Promise<BrewTraces> {
    return this.service.traces(id);
  }

  @Patch(':brewId/steps/:stepIndex')
  async mendStep(
    @Param('brewId', IdPipe) id: number,
    @Param('stepIndex', ParseIntPipe) stepIndex: number,
    @Body() mended: MendStepDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    await this.service.mendStep(id, stepIndex, mended, person);
    return this.service.read(id, person);
  }

  @Put(':brewId/fractions')
  async putFractions(
    @Param('brewId', IdPipe) id: number,
    @Body() fractions: FractionsDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    await this.service.putFractions(id, fractions);
    return this.service.read(id, person);
  }

  @Get(':brewId')
  read(@Param('brewId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<BrewView> {
    return this.service.read(id, person);
  }

  @Patch(':brewId')
  async weigh(
    @Param('brewId', IdPipe) id: number,
    @Body() weighed: WeighBrewDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    await this.service.weigh(id, weighed, person);
    return this.service.read(id, person);
  }

  @Post(':brewId/readings')
  async addReading(
    @Param('brewId', IdPipe) id: number,
    @Body() reading: NewReadingDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<BrewView> {
    await this.service.addReading(id, reading, person, request);
    return this.service.read(id, person);
  }

  @Delete(':brewId/readings/:readingId')
  async removeReading(
    @Param('brewId', IdPipe) id: number,
    @Param('readingId', IdPipe) readingId: number,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    await this.service.setReadingRemoved(id, readingId, true);
    return this.service.read(id, person);
  }

  @Post(':brewId/readings/:readingId/restore')
  @HttpCode(200)
  async restoreReading(
    @Param('brewId', IdPipe) id: number,
    @Param('readingId', IdPipe) readingId: number,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    await this.service.setReadingRemoved(id, readingId, false);
    return this.service.read(id, person);
  }

  @Put(':brewId/verdict')
  async giveVerdict(
    @Param('brewId', IdPipe) id: number,
    @Body() verdict: VerdictDto,
    @SignedIn() person: PersonModel,
  ): Promise<BrewView> {
    await this.service.giveVerdict(id, verdict);
    return this.service.read(id, person);
  }

  @Post(':brewId/set-aside')
  @HttpCode(200)
  async setAside(@Param('brewId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<BrewView> {
    await this.service.setAside(id, true);
    return this.service.read(id, person);
  }

  @Delete(':brewId/set-aside')
  async takeBack(@Param('brewId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<BrewView> {
    await this.service.setAside(id, false);
    return this.service.read(id, person);
  }
}
