import { Controller, Get } from '@nestjs/common';
import type { OperationsView } from '@vendu/contract';
import { LeadOrAdmin } from '../session/access.js';
import { OperationsService } from './operations.service.js';

@Controller('operations')
export class OperationsController {
  constructor(private readonly service: OperationsService) {}

  @Get()
  @LeadOrAdmin()
  read(): Promise<OperationsView> {
    return this.service.read();
  }
}
