import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { addDays } from 'date-fns';
import ical, { ICalCalendarMethod, type ICalCalendar } from 'ical-generator';
import { Op } from 'sequelize';
import type { CalendarView } from '@vendu/contract';
import { LotModel } from '../lots/lot.model.js';
import { PeopleService } from '../people/people.service.js';
import type { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import { CalendarModel } from './calendar.model.js';

const SECRET_BYTES = 32;
/** What lies further back or ahead is in nobody's week, days. */
const SHOWN = { backDays: 30, aheadDays: 180 };
/** Programs are asked to look again after so long, s. */
const LOOKS_AGAIN_S = 3600;

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** Launches and rechecks for the calendar of whoever has the address. */
@Injectable()
export class CalendarService {
  constructor(private readonly people: PeopleService) {}

  async view(person: PersonModel): Promise<CalendarView> {
    const row = await CalendarModel.findByPk(person.id);
    return { madeAt: row?.createdAt.toISOString() ?? null, address: null };
  }

  /** A new address; the one before ends. */
  async make(person: PersonModel, origin: string): Promise<CalendarView> {
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    await CalendarModel.upsert({ personId: person.id, secretHash: hashOf(secret), createdAt: new Date() });
    return { ...(await this.view(person)), address: `${origin}/api/calendars/${secret}/lab.ics` };
  }

  async end(person: PersonModel): Promise<CalendarView> {
    await CalendarModel.destroy({ where: { personId: person.id } });
    return { madeAt: null, address: null };
  }

  /** @throws ProblemError `not-found` for an address that ended, never was, or whose person is not here any more */
  async read(secret: string, origin: string): Promise<string> {
    const row = await CalendarModel.findOne({ where: { secretHash: hashOf(secret) } });
    if (!row || (await this.people.byId(row.personId)) === null) throw notFound('calendar');
    const calendar = ical({
      name: 'Vendu: launches and rechecks',
      method: ICalCalendarMethod.PUBLISH,
      prodId: { company: 'Vendu', product: 'Lab', language: 'EN' },
      ttl: LOOKS_AGAIN_S,
    });
    const [from, to] = [addDays(new Date(), -SHOWN.backDays), addDays(new Date(), SHOWN.aheadDays)];
    const lots = await LotModel.findAll({
      where: {
        [Op.or]: [{ launchOn: { [Op.between]: [from, to] } }, { recheckOn: { [Op.between]: [from, to] } }],
      },
      attributes: ['id', 'name', 'launchOn', 'recheckOn'],
      order: ['id'],
    });
    for (const { id, name, launchOn, recheckOn } of lots) {
      const lot = { id, url: `${origin}/lots/${id}` };
      if (launchOn) day(calendar, { ...lot, kind: 'launch', on: launchOn, summary: `Launch: ${name}` });
      if (recheckOn) day(calendar, { ...lot, kind: 'recheck', on: recheckOn, summary: `Recheck: ${name}` });
    }
    return calendar.toString();
  }
}

/** A whole day, under an id that stays: moved, it moves in every calendar. */
function day(
  calendar: ICalCalendar,
  { id, kind, on, summary, url }: { id: number; kind: string; on: string; summary: string; url: string },
): void {
  calendar.createEvent({
    id: `${kind}-${id}@vendu`,
    start: new Date(`${on}T00:00:00Z`),
    timezone: 'UTC',
    allDay: true,
    summary,
    url,
  });
}
