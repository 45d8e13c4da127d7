import { Controller, Get } from '@nestjs/common';
import type { KitView } from '@vendu/contract';
import { KitService } from './kit.service.js';

@Controller('kit')
export class KitController {
  constructor(private readonly service: KitService) {}

  @Get()
  read(): Promise<KitView> {
    return this.service.kit();
  }
}
