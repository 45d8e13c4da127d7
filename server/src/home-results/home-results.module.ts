import { Module } from '@nestjs/common';
import { ThrottlerModule } from '@nestjs/throttler';
import { HomeResultsController } from './home-results.controller.js';
import { HomeResultsService } from './home-results.service.js';

/** A kitchen brews one pot at a time; an address may be a whole office. */
const TOLD_PER_MINUTE = 12;

@Module({
  imports: [ThrottlerModule.forRoot([{ ttl: 60_000, limit: TOLD_PER_MINUTE }])],
  controllers: [HomeResultsController],
  providers: [HomeResultsService],
  exports: [HomeResultsService],
})
export class HomeResultsModule {}
