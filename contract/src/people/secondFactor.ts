import { TextUpTo } from '../validation/decorators.js';

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
