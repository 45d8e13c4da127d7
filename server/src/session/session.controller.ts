import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, Res, UseGuards } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request, Response } from 'express';
import { promisify } from 'node:util';
import { SignInDto, type PersonView, type SessionView } from '@vendu/contract';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { AccountLetters } from '../account-letters/account-letters.js';
import { DEMO_ACCOUNTS } from '../people/demo-accounts.js';
import { ProblemError } from '../problem/problem-error.js';
import { PeopleService } from '../people/people.service.js';
import type { PersonModel } from '../people/person.model.js';
import { isCodeDue } from '../second-factor/code-due.js';
import { Guesses } from './guesses.js';
import { LiveStreams } from './live-streams.js';
import { VisitorsToo } from './access.js';
import { deviceWords } from './device-words.js';
import { SessionService } from './session.service.js';

@Controller('session')
@VisitorsToo()
export class SessionController {
  constructor(
    private readonly service: SessionService,
    private readonly people: PeopleService,
    private readonly streams: LiveStreams,
    private readonly guesses: Guesses,
    private readonly letters: AccountLetters,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Get()
  async read(@Req() request: Request): Promise<SessionView> {
    const { personId } = request.session;
    return this.view(personId === undefined ? null : await this.people.byId(personId));
  }

  @Post()
  @UseGuards(ThrottlerGuard)
  @HttpCode(200)
  async signIn(
    @Body() credentials: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SessionView> {
    const person = await this.admitted(credentials, request);
    const device = deviceWords(request.headers['user-agent']);
    await this.guesses.forget(credentials.email, request);
    if (!this.guesses.isKnown(credentials.email, request)) {
      this.letters.tell(person, { kind: 'signed-in', device });
    }
    response.cookie(...this.guesses.known(credentials.email, request));
    // A new id at sign-in, so that a session planted before it is worth nothing.
    await promisify(request.session.regenerate.bind(request.session))();
    request.session.personId = person.id;
    request.session.device = device;
    request.session.begunMs = Date.now();
    return this.view(person);
  }

  @Delete()
  async signOut(@Req() request: Request): Promise<SessionView> {
    const { sessionID } = request;
    await promisify(request.session.destroy.bind(request.session))();
    this.streams.endOf(sessionID);
    return this.view(null);
  }

  private async admitted(credentials: SignInDto, request: Request): Promise<PersonModel> {
    const takeBack = await this.guesses.begin(credentials.email, request);
    try {
      return await this.service.personFor(credentials);
    } catch (error) {
      // A database that is away has looked at no password; wrong codes are counted by themselves.
      if (!(error instanceof ProblemError && error.kind === 'wrong-sign-in')) await takeBack();
      throw error;
    }
  }

  private view(person: PersonModel | null): SessionView {
    return {
      person: person && personView(person),
      demoAccounts: this.configuration.isDemo ? DEMO_ACCOUNTS : [],
      sendsMail: this.configuration.mail !== null,
    };
  }
}

function personView(person: PersonModel): PersonView {
  const { id, name, role, codeDueFrom } = person;
  const codeDue = codeDueFrom && { from: codeDueFrom.toISOString(), isNow: isCodeDue(person) };
  return { id, name, role, codeDue };
}
