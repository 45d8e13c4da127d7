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
import type { Role } from '@vendu/core';
import { actAs } from '../writing/acting.js';
import { PeopleService } from '../people/people.service.js';
import type { PersonModel } from '../people/person.model.js';
import { ProblemError } from '../problem/problem-error.js';
import { isCodeDue } from '../second-factor/code-due.js';
import { TokenAccess } from '../tokens/token-access.js';

const DOOR = 'door';
/** Where the document of the API says who may. */
export const ACCESS = 'x-access';

/** Who is let in by which door; a route that names none is for those who make recipes. */
const DOORS = {
  'all roles': ['taster', 'barista', 'lead', 'admin'],
  taster: ['taster', 'barista', 'lead'],
  'signed in': ['barista', 'lead'],
  admin: ['barista', 'lead', 'admin'],
  lead: ['lead'],
  'lead or admin': ['lead', 'admin'],
} as const satisfies Record<string, readonly Role[]>;
type Door = keyof typeof DOORS;

const opens = (door: Door | 'everybody') =>
  applyDecorators(SetMetadata(DOOR, door), ApiExtension(ACCESS, door));

/** Opens a route to people who are not signed in. Every other route needs a session. */
export const VisitorsToo = () => opens('everybody');
/** Opens a route to whoever is signed in: what everybody needs for himself. */
export const AllRoles = () => opens('all roles');
/** Opens a route to guest tasters as well. */
export const TastersToo = () => opens('taster');
/** Opens a route to admins as well. */
export const AdminsToo = () => opens('admin');
/** Keeps a route to leads. */
export const LeadOnly = () => opens('lead');
/** Keeps a route to whoever answers for people, programs and copies. */
export const LeadOrAdmin = () => opens('lead or admin');

const CODE_DUE =
  'Your lab asks for a code at sign-in: set one up under People. What you typed stays on this device.';

export type RequestOfPerson = Request & { person?: PersonModel };

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
    const door =
      this.reflector.getAllAndOverride<Door | 'everybody' | undefined>(DOOR, [
        context.getHandler(),
        context.getClass(),
      ]) ?? 'signed in';
    const request = context.switchToHttp().getRequest<RequestOfPerson>();
    if (door === 'everybody') return true;
    const byToken = await this.tokens.personOf(request);
    const person = byToken ?? (await this.personOfSession(request));
    if (!person)
      throw new ProblemError('not-signed-in', 'Sign in to continue; what you typed stays on this device.');
    // A program has no phone; what everybody needs for himself is what a code is set up with.
    if (!byToken && door !== 'all roles' && isCodeDue(person)) throw new ProblemError('code-due', CODE_DUE);
    // The line of the log says who was refused, too.
    request.person = person;
    const letIn: readonly Role[] = DOORS[door];
    if (!letIn.includes(person.role)) throw new ProblemError('not-allowed', refusal(person.role, door));
    actAs(person.id);
    return true;
  }

  private async personOfSession({ session }: Request): Promise<PersonModel | null> {
    return session.personId === undefined ? null : this.people.byId(session.personId);
  }
}

/** What keeps somebody out, and whom to ask. */
function refusal(role: Role, door: Door): string {
  if (role === 'taster') return 'A guest taster tastes the cups on the table; ask a barista for the rest.';
  if (door === 'lead or admin') return 'Only a lead or an admin can do this; ask one.';
  if (role === 'admin') {
    return 'An admin looks after people, programs and copies; ask a barista or a lead for the rest.';
  }
  return 'Only a lead can sign off and publish; ask one to do it.';
}
