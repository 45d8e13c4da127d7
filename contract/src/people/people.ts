import { ROLES, type Role } from '@vendu/core';
import { IsEmail, MinLength, ValidateIf } from 'class-validator';
import { ClockTime, OneOf, TextUpTo } from '../validation/decorators.js';

/** A password of fewer is guessed; there is no other rule, since rules make people write them down. */
export const PASSWORD_FEWEST = 10;
/** An invitation is good for so long. */
export const INVITATION_DAYS = 7;

const E_MAIL_EXPECTED = 'E-mail must be an address, as name@house.example.';

export class NewPersonDto {
  @TextUpTo({ label: 'Name', max: 100, required: true })
  name!: string;

  @OneOf({ label: 'Role', values: ROLES })
  role!: Role;

  /** Where the way in is sent, in a lab that sends letters. */
  @ValidateIf((_, value) => value !== undefined)
  @TextUpTo({ label: 'E-mail', max: 200 })
  @IsEmail({}, { message: E_MAIL_EXPECTED })
  email?: string;
}

export class ChangePersonDto {
  @OneOf({ label: 'Role', values: ROLES })
  role!: Role;
}

/** When somebody is usually in, by the lab's clock: a shift within one day. */
export class HoursDto {
  @ClockTime({ label: 'In from' })
  from!: string;

  @ClockTime({ label: 'In until' })
  until!: string;
}

/** What somebody who was invited says of himself. */
export class AcceptInvitationDto {
  @TextUpTo({ label: 'Name', max: 100, required: true })
  name!: string;

  @TextUpTo({ label: 'E-mail', max: 200, required: true })
  @IsEmail({}, { message: E_MAIL_EXPECTED })
  email!: string;

  @TextUpTo({ label: 'Password', max: 200, required: true })
  @MinLength(PASSWORD_FEWEST, { message: `Password must have ${PASSWORD_FEWEST} characters or more.` })
  password!: string;
}

export class ChangePasswordDto {
  @TextUpTo({ label: 'Present password', max: 200, required: true })
  present!: string;

  @TextUpTo({ label: 'New password', max: 200, required: true })
  @MinLength(PASSWORD_FEWEST, { message: `New password must have ${PASSWORD_FEWEST} characters or more.` })
  next!: string;
}

/** How far somebody is let in: who was only named in a file has never been invited. */
export type Standing = 'in' | 'invited' | 'named' | 'left';

export interface MemberView {
  id: number;
  name: string;
  role: Role;
  /** `null` until he, or whoever invited him, has said it. */
  email: string | null;
  standing: Standing;
  /** A code is asked for besides the password. */
  hasCode: boolean;
  /** On how many devices he is signed in. */
  devices: number;
  /** Until when an invitation that nobody took is good; `null` without one. */
  invitedUntil: string | null;
}

export interface InvitedView extends MemberView {
  /** Path of the page where the invitation is taken; only in the answer to its making. */
  path: string;
  /** Whether it was sent to his e-mail too; `null` where it was to be sent to nobody. */
  isSent: boolean | null;
}

/** An invitation as whoever holds its address sees it. */
export interface InvitationView {
  /** Empty where it is for somebody whom nobody has named: the first lead of a lab. */
  name: string;
  role: Role;
  /** Where it was sent, or what he signed in with before; empty where nobody has said it. */
  email: string;
}
