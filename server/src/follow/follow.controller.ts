import { Controller, Get, Header, Req } from '@nestjs/common';
import type { Request } from 'express';
import { VisitorsToo } from '../session/access.js';
import { FollowService } from './follow.service.js';

/** For programs that tell a reader what is new. */
@Controller('published.atom')
export class FollowController {
  constructor(private readonly service: FollowService) {}

  @Get()
  @VisitorsToo()
  @Header('Content-Type', 'application/atom+xml; charset=utf-8')
  @Header('Cache-Control', 'public, max-age=300')
  feed(@Req() request: Request): Promise<string> {
    return this.service.feed(`${request.protocol}://${request.get('host') ?? 'localhost'}`);
  }
}
