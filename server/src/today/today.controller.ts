import { Controller, Get } from '@nestjs/common';
import type { TodayView } from '@vendu/contract';
import { TodayService } from './today.service.js';

@Controller('today')
export class TodayController {
  constructor(private readonly service: TodayService) {}

  @Get()
  read(): Promise<TodayView> {
    return this.service.read();
  }
}
