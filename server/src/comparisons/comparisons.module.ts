import { Module } from '@nestjs/common';
import { BrewsModule } from '../brews/brews.module.js';
import { BlindPlacesController } from './blind-places.controller.js';
import { BlindPlacesService } from './blind-places.service.js';
import { BlindTestsService } from './blind-tests.service.js';
import { ComparisonListService } from './comparison-list.service.js';
import { ComparisonReader } from './comparison-reader.js';
import { ComparisonsController } from './comparisons.controller.js';
import { PhoneOrigin } from './phone-origin.js';
import { ComparisonsService } from './comparisons.service.js';

@Module({
  imports: [BrewsModule],
  controllers: [ComparisonsController, BlindPlacesController],
  providers: [
    BlindPlacesService,
    BlindTestsService,
    ComparisonListService,
    ComparisonReader,
    ComparisonsService,
    PhoneOrigin,
  ],
  exports: [PhoneOrigin],
})
export class ComparisonsModule {}
