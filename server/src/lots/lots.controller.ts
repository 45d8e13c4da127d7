import { Body, Controller, Get, Param, Patch, Post, Query } from '@nestjs/common';
import {
  EditLotDto,
  ImportLotsDto,
  LotsQueryDto,
  NewLotDto,
  RoastBatchDto,
  WeighStockDto,
  type LotsPageView,
  type LotView,
} from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { LotsService } from './lots.service.js';

@Controller('lots')
export class LotsController {
  constructor(private readonly service: LotsService) {}

  @Get()
  page(@Query() query: LotsQueryDto): Promise<LotsPageView> {
    return this.service.page(query);
  }

  @Post()
  create(@Body() lot: NewLotDto, @SignedIn() person: PersonModel): Promise<LotView> {
    return this.service.create(lot, person);
  }

  @Post('import')
  import(@Body() lots: ImportLotsDto, @SignedIn() person: PersonModel): Promise<{ ids: number[] }> {
    return this.service.import(lots, person);
  }

  @Get(':lotId')
  read(@Param('lotId', IdPipe) id: number): Promise<LotView> {
    return this.service.read(id);
  }

  @Patch(':lotId')
  edit(@Param('lotId', IdPipe) id: number, @Body() lot: EditLotDto): Promise<LotView> {
    return this.service.edit(id, lot);
  }

  @Post(':lotId/roast-batches')
  addRoastBatch(@Param('lotId', IdPipe) id: number, @Body() batch: RoastBatchDto): Promise<LotView> {
    return this.service.addRoastBatch(id, batch);
  }

  @Post(':lotId/stock')
  weighStock(
    @Param('lotId', IdPipe) id: number,
    @Body() weighing: WeighStockDto,
    @SignedIn() person: PersonModel,
  ): Promise<LotView> {
    return this.service.weighStock(id, weighing, person);
  }
}
