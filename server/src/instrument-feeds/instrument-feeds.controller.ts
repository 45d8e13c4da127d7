import { Body, Controller, Get, HttpCode, Param, Post, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { FeedKeyParam } from '@vendu/contract';
import { VisitorsToo } from '../session/access.js';
import { FeedStream } from './feed-stream.js';
import { InstrumentFeedsService } from './instrument-feeds.service.js';

@Controller('instrument-feeds')
export class InstrumentFeedsController {
  constructor(private readonly service: InstrumentFeedsService) {}

  /** An instrument has no session: it knows the secret that the bench made, and nothing else is behind it. */
  @Post(':key')
  @VisitorsToo()
  @HttpCode(200)
  take(@Param() { key }: FeedKeyParam, @Body() lines: unknown): { taken: number } {
    return { taken: this.service.take(key, typeof lines === 'string' ? lines : '') };
  }

  /** Readings as they come, until the page is left, the session ends or somebody signs out. */
  @Get(':key')
  listen(@Param() { key }: FeedKeyParam, @Req() { sessionID }: Request, @Res() response: Response): void {
    this.service.refuseFull(key, sessionID);
    const stream = new FeedStream(response);
    const leave = this.service.listen(key, stream, sessionID);
    response.on('close', leave);
  }
}
