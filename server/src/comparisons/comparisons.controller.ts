import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post, Put, Req } from '@nestjs/common';
import type { Request } from 'express';
import QRCode from 'qrcode';
import {
  ArmVersionDto,
  ChangeComparisonDto,
  NewBlindTestDto,
  NewComparisonDto,
  type ComparisonListItem,
  type ComparisonView,
  type PouringView,
} from '@vendu/contract';
import type { HousePosition } from '@vendu/core';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOnly, SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { BlindTestsService } from './blind-tests.service.js';
import { ComparisonListService } from './comparison-list.service.js';
import { ComparisonsService } from './comparisons.service.js';
import { PhoneOrigin } from './phone-origin.js';

@Controller()
export class ComparisonsController {
  constructor(
    private readonly comparisons: ComparisonsService,
    private readonly list: ComparisonListService,
    private readonly tests: BlindTestsService,
    private readonly phones: PhoneOrigin,
  ) {}

  @Get('comparisons')
  all(): Promise<ComparisonListItem[]> {
    return this.list.list();
  }

  @Get('comparison-positions')
  positions(): Promise<HousePosition[]> {
    return this.list.positions();
  }

  @Get('comparisons/:comparisonId')
  read(@Param('comparisonId', IdPipe) id: number, @Req() request: Request): Promise<ComparisonView> {
    return this.shown(this.comparisons.read(id), request);
  }

  @Post('comparisons')
  make(
    @Body() comparison: NewComparisonDto,
    @SignedIn() person: PersonModel,
    @RequestKey() key: RequestKeyOf | null,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.make(comparison, person, key), request);
  }

  @Put('comparisons/:comparisonId')
  change(
    @Param('comparisonId', IdPipe) id: number,
    @Body() comparison: ChangeComparisonDto,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.change(id, comparison), request);
  }

  @Put('comparisons/:comparisonId/arms/:armId/version')
  setVersion(
    @Param('comparisonId', IdPipe) id: number,
    @Param('armId', IdPipe) armId: number,
    @Body() { recipeVersionId }: ArmVersionDto,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.setVersion(id, armId, recipeVersionId), request);
  }

  @Put('comparisons/:comparisonId/arms/:armId/brews/:brewId')
  addBrew(
    @Param('comparisonId', IdPipe) id: number,
    @Param('armId', IdPipe) armId: number,
    @Param('brewId', IdPipe) brewId: number,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.addBrew(id, armId, brewId), request);
  }

  @Delete('comparisons/:comparisonId/arms/:armId/brews/:brewId')
  removeBrew(
    @Param('comparisonId', IdPipe) id: number,
    @Param('armId', IdPipe) armId: number,
    @Param('brewId', IdPipe) brewId: number,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.removeBrew(id, armId, brewId), request);
  }

  @Post('comparisons/:comparisonId/blind-tests')
  async serve(
    @Param('comparisonId', IdPipe) id: number,
    @Body() test: NewBlindTestDto,
    @SignedIn() person: PersonModel,
    @RequestKey() key: RequestKeyOf | null,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    await this.tests.make(id, test, person, key);
    return this.shown(this.comparisons.read(id), request);
  }

  /** Tells the key to whoever pours, and writes down that he knows it. */
  @Post('blind-tests/:testId/pouring')
  @HttpCode(200)
  pour(@Param('testId', IdPipe) id: number, @SignedIn() person: PersonModel): Promise<PouringView> {
    return this.tests.pour(id, person);
  }

  @Post('blind-tests/:testId/looks')
  @LeadOnly()
  async look(
    @Param('testId', IdPipe) id: number,
    @SignedIn() person: PersonModel,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.read(await this.tests.look(id, person)), request);
  }

  @Put('blind-tests/:testId/ended')
  async end(@Param('testId', IdPipe) id: number, @Req() request: Request): Promise<ComparisonView> {
    return this.shown(this.comparisons.read(await this.tests.end(id)), request);
  }

  @Put('blind-tests/:testId/opened')
  @LeadOnly()
  async open(
    @Param('testId', IdPipe) id: number,
    @SignedIn() person: PersonModel,
    @Req() request: Request,
  ): Promise<ComparisonView> {
    return this.shown(this.comparisons.read(await this.tests.open(id, person)), request);
  }

  /** For a phone's camera. */
  @Get('blind-tests/:testId/places/:number/code.svg')
  @Header('Content-Type', 'image/svg+xml')
  async code(
    @Param('testId', IdPipe) id: number,
    @Param('number', IdPipe) number: number,
    @Req() request: Request,
  ): Promise<string> {
    const path = await this.tests.pathOf(id, number);
    return QRCode.toString(`${this.phones.originFor(request)}${path}`, { type: 'svg', margin: 1 });
  }

  private async shown(
    comparison: Promise<Omit<ComparisonView, 'phoneOrigin'>>,
    request: Request,
  ): Promise<ComparisonView> {
    return { ...(await comparison), phoneOrigin: this.phones.of(request) };
  }
}
