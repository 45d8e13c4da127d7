import { Controller, Get, HttpCode, Param, Post, Put, Query, Req } from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import type { Request } from 'express';
import type { ImportReport, ImportTaken, ImportView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOrAdmin, SignedIn } from '../session/access.js';
import { LabImportService } from './lab-import.service.js';
import { withReceived } from './received-file.js';

const LONGEST_NAME = 200;

/** The file that an export makes, brought in. */
@Controller('imports')
@LeadOrAdmin()
export class LabImportController {
  constructor(private readonly service: LabImportService) {}

  @Get()
  all(): Promise<ImportView[]> {
    return this.service.all();
  }

  @Post('report')
  @HttpCode(200)
  @ApiConsumes('application/zip')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  report(@Req() request: Request): Promise<ImportReport> {
    return withReceived(request, (file) => this.service.report(file));
  }

  @Post()
  @ApiConsumes('application/zip')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  take(
    @Req() request: Request,
    @SignedIn() person: PersonModel,
    @Query('name') name?: string,
  ): Promise<ImportTaken> {
    const fileName = (typeof name === 'string' ? name : '').slice(0, LONGEST_NAME);
    return withReceived(request, (file) => this.service.take(file, fileName, person));
  }

  @Put(':importId/undone')
  undo(@Param('importId', IdPipe) id: number): Promise<ImportView> {
    return this.service.undo(id);
  }
}
