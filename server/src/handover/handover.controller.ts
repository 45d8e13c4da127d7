import { Body, Controller, Get, Post } from '@nestjs/common';
import { HandoverNoteDto, type HandoverView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { HandoverService } from './handover.service.js';

@Controller('handover')
export class HandoverController {
  constructor(private readonly service: HandoverService) {}

  @Get()
  read(): Promise<HandoverView> {
    return this.service.read();
  }

  @Post('notes')
  leave(
    @Body() note: HandoverNoteDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<HandoverView> {
    return this.service.leave(note, person, request);
  }
}
