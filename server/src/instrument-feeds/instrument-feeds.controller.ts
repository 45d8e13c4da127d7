import { Body, Controller, HttpCode, Param, Post, Sse, type MessageEvent } from '@nestjs/common';
import { finalize, map, type Observable } from 'rxjs';
import { BrewKeyParam } from '@vendu/contract';
import { VisitorsToo } from '../session/access.js';
import { InstrumentFeedsService } from './instrument-feeds.service.js';

@Controller('instrument-feeds')
export class InstrumentFeedsController {
  constructor(private readonly service: InstrumentFeedsService) {}

  /** An instrument has no session: it knows the key that the bench made, and nothing else is behind it. */
  @Post(':key')
  @VisitorsToo()
  @HttpCode(200)
  take(@Param() { key }: BrewKeyParam, @Body() lines: string): { taken: number } {
    return { taken: this.service.take(key, lines) };
  }

  @Sse(':key')
  listen(@Param() { key }: BrewKeyParam): Observable<MessageEvent> {
    const { readings, leave } = this.service.listen(key);
    return readings.pipe(
      map((reading) => ({ data: reading })),
      finalize(leave),
    );
  }
}
