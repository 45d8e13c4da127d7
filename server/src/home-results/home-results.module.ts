import { Module } from '@nestjs/common';
import { ThrottlerModule } from '@nestjs/throttler';
import { KeptThrottle } from '../limits/kept-throttle.js';
import { LimitsModule } from '../limits/limits.module.js';
import { HomeResultsController } from './home-results.controller.js';
import { HomeResultsService } from './home-results.service.js';

/** A kitchen brews one pot at a time; an address may be a whole office. */
const TOLD_PER_MINUTE = 12;

@Module({
  imports: [
    ThrottlerModule.forRootAsync({
      imports: [LimitsModule],
      inject: [KeptThrottle],
      useFactory: (storage: KeptThrottle) => ({
        throttlers: [{ ttl: 60_000, limit: TOLD_PER_MINUTE }],
        storage,
      }),
    }),
  ],
  controllers: [HomeResultsController],
  providers: [HomeResultsService],
  exports: [HomeResultsService],
})
export class HomeResultsModule {}
