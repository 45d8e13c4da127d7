import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/people.module.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

@Module({ imports: [PeopleModule], controllers: [CalendarController], providers: [CalendarService] })
export class CalendarModule {}
