import { Controller, Delete, Get, Header, Param, Post, Req } from '@nestjs/common';
import type { Request } from 'express';
import type { CalendarView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn, VisitorsToo } from '../session/access.js';
import { CalendarService } from './calendar.service.js';

const originOf = (request: Request) => `${request.protocol}://${request.get('host') ?? 'localhost'}`;

@Controller()
export class CalendarController {
  constructor(private readonly service: CalendarService) {}

  @Get('calendar')
  view(@SignedIn() person: PersonModel): Promise<CalendarView> {
    return this.service.view(person);
  }

  @Post('calendar')
  make(@SignedIn() person: PersonModel, @Req() request: Request): Promise<CalendarView> {
    return this.service.make(person, originOf(request));
  }

  @Delete('calendar')
  end(@SignedIn() person: PersonModel): Promise<CalendarView> {
    return this.service.end(person);
  }

  /** For programs: the address is the key. */
  @Get('calendars/:secret/lab.ics')
  @VisitorsToo()
  @Header('Content-Type', 'text/calendar; charset=utf-8')
  @Header('Cache-Control', 'private, no-cache')
  read(@Param('secret') secret: string, @Req() request: Request): Promise<string> {
    return this.service.read(secret, originOf(request));
  }
}
