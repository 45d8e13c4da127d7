import type { Role } from '@vendu/core';
import { ValidateIf } from 'class-validator';
import { CODE_MOST } from '../people/secondFactor.js';
import { TextUpTo } from '../validation/decorators.js';

export class SignInDto {
  @TextUpTo({ label: 'E-mail', max: 200, required: true })
  email!: string;

  @TextUpTo({ label: 'Password', max: 200, required: true })
  password!: string;

  /** Of an app, or one for when the phone is lost; left out until it is asked for. */
  @ValidateIf((_, value) => value !== undefined)
  @TextUpTo({ label: 'Code', max: CODE_MOST })
  code?: string;
}

export interface PersonView {
  id: number;
  name: string;
  role: Role;
  /** The code at sign-in that the lab asks of him and he has not set up; `null` where there is nothing to do. */
  codeDue: CodeDueView | null;
}

export interface CodeDueView {
  from: string;
  /** It is time: nothing else is answered before. */
  isNow: boolean;
}

/** A device on which one is signed in. */
export interface OpenSessionView {
  /** By which it is ended. */
  key: string;
  device: string;
  begunAt: string;
  usedAt: string;
  /** The one that asks. */
  isThis: boolean;
}

/** An invented account, offered on the sign-in page in demo mode only. */
export interface DemoAccount {
  name: string;
  role: Role;
  email: string;
  password: string;
}

export interface SessionView {
  person: PersonView | null;
  demoAccounts: DemoAccount[];
  /** Ways in can be sent by mail. */
  sendsMail: boolean;
}
