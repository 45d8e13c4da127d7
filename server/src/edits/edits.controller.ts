import { Controller, Get, Param } from '@nestjs/common';
import type { EditView } from '@vendu/contract';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOrAdmin } from '../session/access.js';
import { EditsService } from './edits.service.js';

@Controller()
export class EditsController {
  constructor(private readonly edits: EditsService) {}

  @Get('lots/:lotId/edits')
  ofLot(@Param('lotId', IdPipe) lotId: number): Promise<EditView[]> {
    return this.edits.ofLot(lotId);
  }

  @Get('brews/:brewId/edits')
  ofBrew(@Param('brewId', IdPipe) brewId: number): Promise<EditView[]> {
    return this.edits.ofBrew(brewId);
  }

  @Get('kit/edits')
  ofKit(): Promise<EditView[]> {
    return this.edits.ofKit();
  }

  @Get('people/edits')
  @LeadOrAdmin()
  ofPeople(): Promise<EditView[]> {
    return this.edits.ofPeople();
  }
}
