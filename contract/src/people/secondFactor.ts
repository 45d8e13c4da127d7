import type { Role } from '@vendu/core';
import { NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

/** Six digits of an app, or ten letters of a code for when the phone is lost, however they are spaced. */
export const CODE_MOST = 20;

export class BeginSecondFactorDto {
  @TextUpTo({ label: 'Present password', max: 200, required: true })
  present!: string;
}

export class SecondFactorCodeDto {
  @TextUpTo({ label: 'Code', max: CODE_MOST, required: true })
  code!: string;
}

/** Of whom a lab asks a code, from fewest to most. Guests taste on what lies on the table, without a phone of theirs. */
export const CODE_ASKED_OF = ['nobody', 'leads', 'makers'] as const;
export type CodeAskedOf = (typeof CODE_ASKED_OF)[number];

export const ROLES_ASKED: Readonly<Record<CodeAskedOf, readonly Role[]>> = {
  nobody: [],
  leads: ['lead', 'admin'],
  makers: ['lead', 'admin', 'barista'],
};

/** Whoever is newly asked has so long to set one up. */
export const HOURS_FOR_A_CODE = 24;

export class CodeRuleDto {
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;

  @OneOf({ label: 'Code asked of', values: CODE_ASKED_OF })
  askedOf!: CodeAskedOf;
}

export interface CodeRuleView {
  askedOf: CodeAskedOf;
  /** From when it is; `null` while nobody is asked. */
  askedFrom: string | null;
  revision: number;
}

/** Whether one is asked for a code besides the password. */
export interface SecondFactorView {
  /** `null` where one is not. */
  since: string | null;
  /** Codes for when the phone is lost that are still good. */
  codesLeft: number;
}

/** What an app is to make codes of; told once. */
export interface SecondFactorBegunView {
  /** In letters, for who cannot photograph his screen. */
  secret: string;
  /** The same as a code of squares: the address of a drawing. */
  picture: string;
}

/** Codes for when the phone is lost, each good once; told once. */
export interface RecoveryCodesView {
  codes: string[];
}
