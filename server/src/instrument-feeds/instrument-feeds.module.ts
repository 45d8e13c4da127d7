import { Module } from '@nestjs/common';
import { InstrumentFeedsController } from './instrument-feeds.controller.js';
import { InstrumentFeedsService } from './instrument-feeds.service.js';

@Module({ controllers: [InstrumentFeedsController], providers: [InstrumentFeedsService] })
export class InstrumentFeedsModule {}
