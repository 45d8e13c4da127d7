import { Controller, Delete, Get, HttpCode, Param, Req } from '@nestjs/common';
import type { Request } from 'express';
import type { OpenSessionView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { SignedIn, AllRoles } from './access.js';
import { endSession, endSessionsOf, openSessions } from './open-sessions.js';

/** Where one is signed in oneself; nobody sees or ends the sessions of another. */
@AllRoles()
@Controller('sessions')
export class SessionsController {
  @Get()
  all(@SignedIn() person: PersonModel, @Req() { sessionID }: Request): Promise<OpenSessionView[]> {
    return openSessions(person.id, sessionID);
  }

  @Delete()
  @HttpCode(204)
  endOthers(@SignedIn() person: PersonModel, @Req() { sessionID }: Request): Promise<void> {
    return endSessionsOf(person.id, sessionID);
  }

  @Delete(':key')
  @HttpCode(204)
  end(@Param('key') key: string, @SignedIn() person: PersonModel): Promise<void> {
    return endSession(person.id, key);
  }
}
