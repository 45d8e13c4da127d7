import {
  applyDecorators,
  createParamDecorator,
  Injectable,
  SetMetadata,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ApiExtension } from '@nestjs/swagger';
import type { Request } from 'express';
import { actAs } from '../writing/acting.js';
import { PeopleService } from '../people/people.service.js';
import type { PersonModel } from '../people/person.model.js';
import { ProblemError } from '../problem/problem-error.js';
import { TokenAccess } from '../tokens/token-access.js';

const VISITORS_TOO = 'visitorsToo';
const TASTERS_TOO = 'tastersToo';
const LEAD_ONLY = 'leadOnly';
/** Where the document of the API says who may. */
export const ACCESS = 'x-access';

/** Opens a route to people who are not signed in. Every other route needs a session. */
export const VisitorsToo = () =>
  applyDecorators(SetMetadata(VISITORS_TOO, true), ApiExtension(ACCESS, 'everybody'));
/** Opens a route to guest tasters as well, who are let in nowhere else. */
export const TastersToo = () =>
  applyDecorators(SetMetadata(TASTERS_TOO, true), ApiExtension(ACCESS, 'taster'));
/** Keeps a route to leads. */
export const LeadOnly = () => applyDecorators(SetMetadata(LEAD_ONLY, true), ApiExtension(ACCESS, 'lead'));

type RequestOfPerson = Request & { person?: PersonModel };

/** The person signed in; only on routes that need a session. */
export const SignedIn = createParamDecorator((_: unknown, context: ExecutionContext): PersonModel => {
  const { person } = context.switchToHttp().getRequest<RequestOfPerson>();
  if (!person) throw new Error('SignedIn used on a route open to visitors');
  return person;
});

@Injectable()
export class AccessGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly people: PeopleService,
    private readonly tokens: TokenAccess,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const marked = (key: string) =>
      this.reflector.getAllAndOverride<boolean>(key, [context.getHandler(), context.getClass()]);
    const request = context.switchToHttp().getRequest<RequestOfPerson>();
    if (marked(VISITORS_TOO)) return true;
    const person = (await this.tokens.personOf(request)) ?? (await this.personOfSession(request));
    if (!person)
      throw new ProblemError('not-signed-in', 'Sign in to continue; what you typed stays on this device.');
    if (marked(LEAD_ONLY) && person.role !== 'lead') {
      throw new ProblemError('not-allowed', 'Only a lead can sign off and publish; ask one to do it.');
    }
    if (person.role === 'taster' && !marked(TASTERS_TOO)) {
      throw new ProblemError(
        'not-allowed',
        'A guest taster tastes the cups on the table; ask a barista for the rest.',
      );
    }
    request.person = person;
    actAs(person.id);
    return true;
  }

  private async personOfSession({ session }: Request): Promise<PersonModel | null> {
    return session.personId === undefined ? null : this.people.byId(session.personId);
  }
}
