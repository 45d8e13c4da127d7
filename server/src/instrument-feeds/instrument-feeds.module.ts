import { Module } from '@nestjs/common';
import { SessionModule } from '../session/session.module.js';
import { InstrumentFeedsController } from './instrument-feeds.controller.js';
import { InstrumentFeedsService } from './instrument-feeds.service.js';

@Module({
  imports: [SessionModule],
  controllers: [InstrumentFeedsController],
  providers: [InstrumentFeedsService],
})
export class InstrumentFeedsModule {}
