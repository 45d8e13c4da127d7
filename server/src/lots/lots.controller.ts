import { Body, Controller, Get, Param, Patch, Post } from '@nestjs/common';
import { EditLotDto, NewLotDto, RoastBatchDto, type LotListItem, type LotView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { SignedIn } from '../session/access.js';
import { LotsService } from './lots.service.js';

@Controller('lots')
export class LotsController {
  constructor(private readonly service: LotsService) {}

  @Get()
  list(): Promise<LotListItem[]> {
    return this.service.list();
  }

  @Post()
  create(@Body() lot: NewLotDto, @SignedIn() person: PersonModel): Promise<LotView> {
    return this.service.create(lot, person);
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
}
