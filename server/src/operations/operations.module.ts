import { Module } from '@nestjs/common';
import { CareModule } from '../care/care.module.js';
import { Congestion } from './congestion.js';
import { Metrics } from './metrics.js';
import { OperationsController } from './operations.controller.js';
import { OperationsService } from './operations.service.js';
import { Room } from './room.js';

@Module({
  imports: [CareModule],
  controllers: [OperationsController],
  providers: [Congestion, Metrics, OperationsService, Room],
  exports: [Room],
})
export class OperationsModule {}
