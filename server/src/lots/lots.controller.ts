import { Body, Controller, Get, Param, Patch, Post, Query } from '@nestjs/common';
import {
  EditLotDto,
  ImportLotsDto,
  LotsQueryDto,
  NewLotDto,
  RoastBatchDto,
  WeighStockDto,
  type KinLotView,
  type LotsPageView,
  type LotView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { LotsService } from './lots.service.js';

@Controller('lots')
export class LotsController {
  constructor(private readonly service: LotsService) {}

  @Get()
  page(@Query() query: LotsQueryDto): Promise<LotsPageView> {
    return this.service.page(query);
  }

  @Post()
  create(
    @Body() lot: NewLotDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<LotView> {
    return this.service.create(lot, person, request);
  }

  @Post('import')
  import(
    @Body() lots: ImportLotsDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<{ ids: number[] }> {
    return this.service.import(lots, person, request);
  }

  @Get(':lotId')
  read(@Param('lotId', IdPipe) id: number): Promise<LotView> {
    return this.service.read(id);
  }

  @Get(':lotId/kin')
  kin(@Param('lotId', IdPipe) id: number): Promise<KinLotView[]> {
    return this.service.kin(id);
  }

  @Patch(':lotId')
  edit(@Param('lotId', IdPipe) id: number, @Body() lot: EditLotDto): Promise<LotView> {
    return this.service.edit(id, lot);
  }

  @Post(':lotId/roast-batches')
  addRoastBatch(
    @Param('lotId', IdPipe) id: number,
    @Body() batch: RoastBatchDto,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<LotView> {
    return this.service.addRoastBatch(id, batch, request);
  }

  @Post(':lotId/stock')
  weighStock(
    @Param('lotId', IdPipe) id: number,
    @Body() weighing: WeighStockDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<LotView> {
    return this.service.weighStock(id, weighing, person, request);
  }
}
